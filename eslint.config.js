import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['**/dist/', '.vendu/', '**/.mutated/', '**/test-results/', 'docs/'] },
  js.configs.recommended,
  ...tseslint.configs.strictTypeChecked.map((config) => ({ ...config, files: ['**/*.{ts,tsx}'] })),
  {
    files: ['**/*.{ts,tsx}'],
    languageOptions: {
      parserOptions: {
        projectService: { allowDefaultProject: ['vitest.config.ts', 'core/vitest.mutation.config.ts'] },
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      // Numbers belong in text; everything else is still refused.
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      // Naming a field is how it is left out of the rest.
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
      // DTO classes describe plain JSON; both sides pass plain objects of their shape.
      '@typescript-eslint/no-unsafe-class-instance-assignment': 'off',
      '@typescript-eslint/no-misused-spread': 'off',
      // Nest's modules and services are classes by the framework's design.
      '@typescript-eslint/no-extraneous-class': ['error', { allowWithDecorator: true }],
      '@typescript-eslint/no-confusing-void-expression': [
        'error',
        { ignoreArrowShorthand: true, ignoreVoidReturningFunctions: true },
      ],
    },
  },
  { files: ['web/**/*.{ts,tsx}'], ...reactHooks.configs.flat.recommended },
  {
    files: ['**/*.test.{ts,tsx}', '**/test/**/*.ts', 'e2e/**/*.ts'],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off' },
  },
  // RTK Query writes `void` for an endpoint without an argument.
  { files: ['web/src/**/*Api.ts'], rules: { '@typescript-eslint/no-invalid-void-type': 'off' } },
  { files: ['**/*.cjs'], languageOptions: { sourceType: 'commonjs', globals: { module: 'writable' } } },
  prettier,
);
