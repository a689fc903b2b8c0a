const megabytes = (bytes: number) =>
  `${(bytes / 1048576).toLocaleString('en', { maximumFractionDigits: 1 })} MB`;

/** The size of a file. */
export const fileSize = (bytes: number): string =>
  bytes < 1048576 ? `${Math.ceil(bytes / 1024).toLocaleString('en')} kB` : megabytes(bytes);
