module.exports = function (api) {
  api.cache(true);
  return {
    presets: [
      // The geometry kernel's loader reads import.meta.url; the transform gives it a registry entry to read.
      ['babel-preset-expo', { jsxImportSource: 'nativewind', unstable_transformImportMeta: true }],
      'nativewind/babel',
    ],
  };
};
