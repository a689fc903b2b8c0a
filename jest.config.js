/** Packages that are published as modern modules and have to be translated for Jest. */
const translated = [
  '(jest-)?react-native(-[a-z-]+)?',
  '@react-native(-community)?',
  'expo(nent)?',
  '@expo(nent)?/.*',
  '@expo-google-fonts/.*',
  'react-navigation',
  '@react-navigation/.*',
  'nativewind',
  'fast-png',
  'iobuffer',
  'react-native-css-interop',
  'manifold-3d',
  'replicad-opencascadejs',
  'three',
  'three-mesh-bvh',
  'comlink',
  'jstat',
  'clipper2-ts',
  'robust-predicates',
].join('|');

/** The kernel's loader has its own; it comes before what is done with the rest. */
const KERNEL_TRANSFORM = {
  '/replicad-opencascadejs/dist/.*\\.js$': '<rootDir>/tools/setup/jestKernelTransform.js',
  '/manifold-3d/manifold\\.js$': '<rootDir>/tools/setup/jestKernelTransform.js',
};

const shared = {
  transformIgnorePatterns: [`/node_modules/(?!(${translated})(/|$))`],
  moduleNameMapper: {
    // The package's own CommonJS door loads this same file by a native import, which Jest does not offer.
    '^replicad-opencascadejs$': '<rootDir>/node_modules/replicad-opencascadejs/dist/replicad_single.js',
    // It has a door for modern modules only.
    '^manifold-3d$': '<rootDir>/node_modules/manifold-3d/manifold.js',
    // Its usual door is an .mjs, which the preset of the screens does not translate.
    '^d3-delaunay$': '<rootDir>/node_modules/d3-delaunay/dist/d3-delaunay.js',
    '^lucide-react-native/icons/(.*)$': '<rootDir>/node_modules/lucide-react-native/dist/cjs/icons/$1.js',
    '^@core/(.*)$': '<rootDir>/core/$1',
    '^@server/(.*)$': '<rootDir>/server/$1',
    '^@devices/(.*)$': '<rootDir>/devices/$1',
    '^@ui/(.*)$': '<rootDir>/ui/$1',
  },
  // Handed to each file by itself: looked up among the sandbox's globals it costs a hundred times what is worked out with it.
  sandboxInjectedGlobals: ['Math'],
  testPathIgnorePatterns: ['/node_modules/', '/dist/', '/e2e/', '/data/'],
};

module.exports = {
  // Kernels and screens are slow to load while both cores are busy; no test is about time.
  testTimeout: 30_000,
  // One for each core: what takes longest is the kernel, which has one to itself.
  maxWorkers: 2,
  // What a kernel took is given back late: after a hundred files a process holds three gigabytes, and takes longer to end than Jest waits for.
  workerIdleMemoryLimit: '1500MB',
  projects: [
    {
      ...shared,
      displayName: 'core',
      // No screens here: translating types and modules is enough, and far quicker than the preset of the screens.
      testEnvironment: 'node',
      transform: { ...KERNEL_TRANSFORM, '\\.[cm]?[jt]sx?$': '@sucrase/jest-plugin' },
      testMatch: ['<rootDir>/{core,server,tools,demo,devices}/**/*.test.ts'],
    },
    {
      ...shared,
      displayName: 'screens',
      // It begins with what only a running app has.
      moduleNameMapper: { ...shared.moduleNameMapper, '^expo-router$': '<rootDir>/ui/testing/router.ts' },
      preset: 'jest-expo/web',
      setupFiles: ['<rootDir>/tools/setup/jestScreens.js'],
      transform: { ...KERNEL_TRANSFORM, ...require('jest-expo/web/jest-preset.js').transform },
      testMatch: ['<rootDir>/ui/**/*.test.{ts,tsx}'],
    },
  ],
};
