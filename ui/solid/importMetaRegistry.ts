// The kernel's loader reads import.meta.url. The build turns that into a look-up here, which has to be in place
// before the loader is imported: keep this import first.
declare global {
  var __ExpoImportMetaRegistry: { url: string } | undefined;
}

globalThis.__ExpoImportMetaRegistry ??= { url: globalThis.location?.href ?? '' };

export {};
