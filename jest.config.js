/** @type {import('jest').Config} */
module.exports = {
  projects: [
    {
      displayName: 'core', // pure TypeScript and the server: no React at all
      testEnvironment: 'node',
      roots: ['<rootDir>/src', '<rootDir>/server', '<rootDir>/demo'],
      testMatch: ['**/*.test.ts'],
      moduleNameMapper: {
        '^@/(.*)$': '<rootDir>/src/$1',
        '^@react-native-async-storage/async-storage$': '@react-native-async-storage/async-storage/jest',
      },
      transform: {
        '\\.m?[jt]sx?$': ['babel-jest', { caller: { name: 'metro', bundler: 'metro', platform: 'web' } }],
      },
      transformIgnorePatterns: ['/node_modules/(?!(d3-polygon|culori|clipper2-ts)/)'],
    },
    {
      displayName: 'web', // react-dom and react-native-web in jsdom
      preset: 'jest-expo/web',
      roots: ['<rootDir>/src'],
      testMatch: ['**/*.test.tsx'],
      moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
    },
  ],
};
