import eslint from '@eslint/js';
import angular from 'angular-eslint';
import prettier from 'eslint-config-prettier';
import tseslint from 'typescript-eslint';
import { noProse } from './scripts/no-prose.mjs';

export default tseslint.config(
  {
    ignores: [
      'dist/',
      'messages/made/',
      'node_modules/',
      '.angular/',
      'test-results/',
      'playwright-report/',
    ],
  },
  {
    files: ['**/*.ts'],
    extends: [
      eslint.configs.recommended,
      ...tseslint.configs.strictTypeChecked,
      ...tseslint.configs.stylisticTypeChecked,
      prettier,
    ],
    languageOptions: {
      parserOptions: {
        // One program for all: each of its own would read core anew.
        project: ['tsconfig.all.json'],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/unbound-method': ['error', { ignoreStatic: true }],
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      '@typescript-eslint/no-confusing-void-expression': 'off',
      '@typescript-eslint/no-extraneous-class': ['error', { allowWithDecorator: true }],
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      // Material takes its options as plain objects.
      '@typescript-eslint/no-unsafe-class-instance-assignment': 'off',
    },
  },
  {
    // Jest's asymmetric matchers are typed any.
    files: ['**/*.spec.ts', 'e2e/**/*.ts'],
    rules: { '@typescript-eslint/no-unsafe-assignment': 'off' },
  },
  {
    // Inside the page, tests lay hands on what the browser owns.
    files: ['e2e/**/*.ts'],
    rules: { '@typescript-eslint/unbound-method': 'off' },
  },
  {
    // Sentences are made in words/.
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.spec.ts', 'core/src/testing/**'],
    plugins: { hypogeon: { rules: { 'no-prose': noProse } } },
    rules: { 'hypogeon/no-prose': 'error' },
  },
  {
    // The core has no clock and no randomness of its own.
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.spec.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'Hand the time in.' },
        { object: 'Math', property: 'random', message: 'Use a seed that is handed in.' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'Hand the time in.',
        },
      ],
    },
  },
  {
    files: ['web/src/**/*.ts'],
    extends: [...angular.configs.tsRecommended],
    processor: angular.processInlineTemplates,
    rules: {
      '@angular-eslint/component-selector': [
        'error',
        { type: 'element', prefix: 'hy', style: 'kebab-case' },
      ],
      '@angular-eslint/prefer-on-push-component-change-detection': 'error',
    },
  },
  {
    files: ['web/src/**/*.html'],
    extends: [...angular.configs.templateRecommended, ...angular.configs.templateAccessibility],
  },
);
