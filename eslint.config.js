import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['dist/', 'node_modules/', 'docs/', '.cache/'] },
  js.configs.recommended,
  tseslint.configs.strict,
  tseslint.configs.stylistic,
  tseslint.configs.recommendedTypeCheckedOnly,
  {
    languageOptions: {
      parserOptions: {
        project: 'tsconfig.json',
        tsconfigRootDir: import.meta.dirname,
      },
    },
  },
  {
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/consistent-type-definitions': 'off',
      '@typescript-eslint/no-dynamic-delete': 'off',
      eqeqeq: 'error',
    },
  },
  // The room runs in a browser, and the core anywhere: neither may reach for what only Node has.
  {
    files: ['app/**/*.{ts,tsx}', 'formats/**/*.ts', 'core/**/*.ts'],
    ignores: ['**/*.test.{ts,tsx}'],
    rules: { 'no-restricted-globals': ['error', 'process', 'Buffer', 'global', '__dirname', '__filename', 'require'] },
  },
  { files: ['app/**/*.{ts,tsx}'], plugins: { 'react-hooks': hooks }, rules: { ...hooks.configs.recommended.rules } },
  { files: ['**/*.js', '**/*.cjs'], extends: [tseslint.configs.disableTypeChecked] },
  {
    files: ['**/*.js', '**/*.cjs'],
    languageOptions: { globals: { module: 'writable', require: 'readonly', process: 'readonly' } },
  },
);
