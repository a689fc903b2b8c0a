import usual from './usual-of-version-1.json';
import { Workshop } from './workshopRows';

/**
 * The usual workshop while files were of version 1: what the numbers of one without a workshop rest on. It never changes again.
 */
export const usualOfVersion1 = (): Workshop => Workshop.parse(usual);
