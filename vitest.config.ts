import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'unit',
          include: [
            'src/**/*.test.{ts,tsx}',
            'demo/**/*.test.ts',
            'tests/server/**/*.test.ts',
            'tests/house/**/*.test.ts',
          ],
          testTimeout: 120_000,
          hookTimeout: 180_000,
        },
      },
      {
        test: {
          name: 'browser',
          include: ['tests/browser/**/*.test.ts'],
          testTimeout: 300_000,
          hookTimeout: 180_000,
          fileParallelism: false,
        },
      },
    ],
  },
});
