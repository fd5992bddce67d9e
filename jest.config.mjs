const shared = {
  testEnvironment: 'node',
  // files run in a sandbox that is slow to find what is global: these are handed in
  sandboxInjectedGlobals: [
    'Math',
    'Number',
    'Array',
    'Object',
    'Map',
    'Set',
    'Float64Array',
    'Float32Array',
    'Uint32Array',
  ],
  transform: {
    '^.+\\.m?[tj]sx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
          target: 'es2022',
        },
        module: { type: 'commonjs' },
      },
    ],
  },
  moduleNameMapper: {
    '\\.module\\.css$': '<rootDir>/tests/classNames.cjs',
    '^fast-check$': '<rootDir>/tests/properties.mjs',
    '^@/(.*)$': '<rootDir>/src/$1',
    '^manifold-3d$': '<rootDir>/node_modules/manifold-3d/manifold.js',
    '^replicad-opencascadejs$': '<rootDir>/node_modules/replicad-opencascadejs/dist/replicad_single.js',
  },
  transformIgnorePatterns: [
    '/node_modules/(?!(d3-[a-z-]+|internmap|earcut|manifold-3d|replicad-opencascadejs|ml-[a-z-]+|is-any-array|react-hotkeys-hook|better-auth|@better-auth|@better-fetch|better-call|@noble|jose|nanostores|defu|kysely|rou3|zod|set-cookie-parser|uncrypto)/)',
  ],
  modulePathIgnorePatterns: ['<rootDir>/.next', '<rootDir>/.data'],
};

export default {
  // a thread that starts, or a database on a busy machine, takes its time
  testTimeout: 30_000,
  projects: [
    {
      ...shared,
      displayName: 'unit',
      testPathIgnorePatterns: ['/node_modules/', '<rootDir>/src/db/seed/'],
      testMatch: [
        '<rootDir>/src/**/*.test.ts',
        '<rootDir>/src/**/*.test.tsx',
        '<rootDir>/tests/scripts/**/*.test.ts',
      ],
    },
    {
      ...shared,
      displayName: 'whole',
      testMatch: [
        '<rootDir>/tests/whole/**/*.test.ts',
        '<rootDir>/tests/calc/**/*.test.ts',
        '<rootDir>/src/db/seed/**/*.test.ts',
      ],
    },
    { ...shared, displayName: 'api', testMatch: ['<rootDir>/tests/api/**/*.test.ts'] },
  ],
};
