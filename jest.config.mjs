import nextJest from 'next/jest.js';

export default nextJest({ dir: './' })({
  testEnvironment: 'node',
  roots: ['<rootDir>/src'],
  testMatch: ['**/*.test.ts'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
  setupFiles: ['fake-indexeddb/auto'],
  clearMocks: true,
});
