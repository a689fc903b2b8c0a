import { ok } from '@core/fault';

/** It has no lengths. */
export const resolve = () => ok({});
