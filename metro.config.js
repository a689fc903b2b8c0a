const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');

const config = getDefaultConfig(__dirname);
// Folders that the screens never import; watching them only slows the build.
config.resolver.blockList = [/\/dist\/.*/, /\/data\/.*/, /\/test-results\/.*/].map(
  (pattern) => new RegExp(`^${__dirname}${pattern.source}`),
);

module.exports = withNativeWind(config, { input: './ui/theme/global.css' });
