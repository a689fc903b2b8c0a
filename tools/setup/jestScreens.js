const { TextDecoder, TextEncoder } = require('node:util');

/** Every browser has them; jsdom leaves them out. */
Object.assign(globalThis, { TextDecoder, TextEncoder });
