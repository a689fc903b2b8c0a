// Lets Jest load the kernel's loader, which is a modern module that imports another one as it starts: Jest can do
// that only in an experimental mode in which no other modern package loads.
const { pathToFileURL } = require('node:url');

module.exports = {
  process(source, path) {
    const code = source
      .replace('await import("node:module")', 'process.getBuiltinModule("node:module")')
      .replaceAll('import.meta.url', JSON.stringify(pathToFileURL(path).href))
      .replace(/export default (\w+);?/, 'exports.__esModule = true; exports.default = $1;');
    return { code };
  },
};
