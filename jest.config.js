// These come as ES modules, which Jest does not read as they are.
const ES_MODULES = 'd3-polygon|d3-contour|d3-array|internmap|culori|clipper2-ts|color-space|tinyqueue';

/** @type {import('jest').Config} */
module.exports = {
  projects: [
    {
      displayName: 'core', // pure TypeScript and the server: no React at all
      testEnvironment: 'node',
      setupFiles: ['<rootDir>/jest.properties.js'],
      roots: ['<rootDir>/src', '<rootDir>/server', '<rootDir>/demo', '<rootDir>/scripts'],
      testMatch: ['**/*.test.ts'],
      moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
      transform: {
        '\\.m?[jt]sx?$': ['babel-jest', { caller: { name: 'metro', bundler: 'metro', platform: 'web' } }],
      },
      transformIgnorePatterns: [`/node_modules/(?!(${ES_MODULES})/)`],
    },
    {
      displayName: 'interface', // components and hooks, rendered without a browser
      preset: 'jest-expo',
      setupFiles: ['<rootDir>/jest.setup.js'],
      transform: { '\\.mjs$': 'babel-jest' },
      roots: ['<rootDir>/src', '<rootDir>/demo'],
      testMatch: ['**/*.test.tsx'],
      moduleNameMapper: {
        '^@/(.*)$': '<rootDir>/src/$1',
        '^@react-native-async-storage/async-storage$': '@react-native-async-storage/async-storage/jest',
      },
      transformIgnorePatterns: [
        `/node_modules/(?!((jest-)?react-native|@react-native|expo|@expo|react-native-svg|lucide-react-native|${ES_MODULES}))`,
      ],
    },
  ],
};
