// Packages that offer their files to `import` only; Jest asks as `require`.
const importedOnly = {
  '^d3-polygon$': '<rootDir>/node_modules/d3-polygon/dist/d3-polygon.js',
  '^@chevrotain/(utils|gast|regexp-to-ast|cst-dts-gen)$':
    '<rootDir>/node_modules/@chevrotain/$1/lib/src/api.js',
  '^chevrotain$': '<rootDir>/node_modules/chevrotain/lib/src/api.js',
};

module.exports = {
  projects: [
    {
      displayName: 'core',
      testEnvironment: 'node',
      modulePathIgnorePatterns: ['<rootDir>/.mutants/'],
      testMatch: [
        '<rootDir>/src/core/**/*.test.ts',
        '<rootDir>/server/**/*.test.ts',
        '<rootDir>/cli/**/*.test.ts',
        '<rootDir>/demo/**/*.test.ts',
      ],
      transform: { '\\.[jt]sx?$': ['babel-jest', { configFile: './babel.config.cjs' }] },
      // Chevrotain and the functions it takes from lodash come as ES modules only.
      moduleNameMapper: importedOnly,
      transformIgnorePatterns: ['/node_modules/(?!(@?chevrotain|lodash-es)/)'],
    },
    {
      displayName: 'app',
      preset: 'jest-expo/web',
      modulePathIgnorePatterns: ['<rootDir>/.mutants/'],
      testMatch: ['<rootDir>/src/{data,ui,features}/**/*.test.{ts,tsx}'],
      setupFilesAfterEnv: ['<rootDir>/src/data/__tests__/readToys.ts'],
      transformIgnorePatterns: [
        '/node_modules/(?!((jest-)?react-native.*|@react-native.*|@react-native/.*|expo.*|@expo.*|@expo-google-fonts/.*|react-navigation|@react-navigation/.*|@?chevrotain|lodash-es|@tamagui/.*|lucide-react-native|three)/)',
      ],
      moduleNameMapper: { ...importedOnly, '\\.(txt|md)$': '<rootDir>/demo/textFile.cjs' },
    },
  ],
};
