import angular from 'jest-preset-angular/presets/index.js';

const paths = {
  '^@hypogeon/words$': '<rootDir>/words/src/index.ts',
  '^@hypogeon/messages$': '<rootDir>/messages/src/index.ts',
  '^@hypogeon/messages/languages$': '<rootDir>/messages/made/languages.ts',
  '^@hypogeon/messages/load$': '<rootDir>/messages/made/load.ts',
  '^@hypogeon/messages/(.*)$': '<rootDir>/messages/made/en/$1.ts',
  '^@hypogeon/core/(.*)$': '<rootDir>/core/src/$1/index.ts',
};

export default {
  // A busy machine may be several times slower than a free one.
  testTimeout: 30_000,
  projects: [
    {
      displayName: 'core',
      testEnvironment: 'node',
      testMatch: [
        '<rootDir>/core/**/*.spec.ts',
        '<rootDir>/words/**/*.spec.ts',
        '<rootDir>/messages/**/*.spec.ts',
        '<rootDir>/server/**/*.spec.ts',
      ],
      setupFiles: ['<rootDir>/core/src/testing/fixed-seed.ts'],
      transform: { '^.+\\.ts$': ['ts-jest', { tsconfig: '<rootDir>/tsconfig.jest.json' }] },
      moduleNameMapper: paths,
    },
    {
      ...angular.createCjsPreset({ tsconfig: '<rootDir>/tsconfig.jest.json' }),
      displayName: 'web',
      testMatch: ['<rootDir>/web/**/*.spec.ts'],
      setupFilesAfterEnv: ['<rootDir>/web/src/testing/setup.ts'],
      moduleNameMapper: {
        ...paths,
        '/spawn$': '<rootDir>/web/src/testing/spawn.ts',
        '^d3-hierarchy$': '<rootDir>/node_modules/d3-hierarchy/dist/d3-hierarchy.js',
        '^echarts/.*$': '<rootDir>/web/src/testing/echarts.ts',
      },
    },
  ],
};
