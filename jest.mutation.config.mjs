import config from './jest.config.mjs';

const { displayName: _, ...unit } = config.projects.find(({ displayName }) => displayName === 'unit');

/** Unit tests of core alone, for scripts/mutate.mjs. */
export default {
  ...unit,
  testTimeout: config.testTimeout,
  testEnvironment: '@stryker-mutator/jest-runner/jest-env/node',
  testMatch: ['<rootDir>/src/core/**/*.test.ts'],
};
