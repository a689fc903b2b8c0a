import { ok } from '@core/foundations/fault';

/** It has no lengths. */
export const resolve = () => ok({});
