import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'unit',
          include: ['src/**/*.test.{ts,tsx}', 'demo/**/*.test.ts', 'tests/house/**/*.test.ts'],
          testTimeout: 120_000,
          hookTimeout: 180_000,
        },
      },
      {
        test: {
          name: 'mutants',
          include: ['tests/mutants/**/*.test.ts'],
          testTimeout: 600_000,
          hookTimeout: 600_000,
        },
      },
      {
        test: {
          name: 'server',
          include: ['tests/server/**/*.test.ts'],
          globalSetup: ['tests/seeded.ts'],
          testTimeout: 120_000,
          hookTimeout: 180_000,
        },
      },
      {
        test: {
          name: 'browser',
          include: ['tests/browser/**/*.test.ts'],
          globalSetup: ['tests/seeded.ts'],
          testTimeout: 300_000,
          hookTimeout: 180_000,
          // Each file has a server and a browser of its own; more at once would starve each other.
          maxWorkers: 2,
          // A browser that was starved by the other one tries once more; what fails twice fails.
          retry: 1,
        },
      },
    ],
  },
});
