import svelte from 'eslint-plugin-svelte'
import ts from 'typescript-eslint'
import svelteConfig from './svelte.config.js'

export default ts.config(
  {
    ignores: [
      'ui/dist',
      'ui/src/lib/api/schema.d.ts',
      'ui/src/device/wasm_exec.js',
      'node_modules',
      '*.config.js',
    ],
  },
  ...ts.configs.recommendedTypeChecked,
  ...svelte.configs.recommended,
  {
    languageOptions: {
      parserOptions: { project: './tsconfig.json', extraFileExtensions: ['.svelte'] },
    },
  },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { parser: ts.parser, svelteConfig } },
  },
  {
    // Prettier breaks lines of code at 110 characters; what it leaves is comments and texts.
    rules: {
      'max-len': [
        'error',
        { code: 120, ignoreStrings: true, ignoreTemplateLiterals: true, ignorePattern: '<|eslint|prettier' },
      ],
    },
  },
  {
    // A browser may keep nothing: lib/page/kept.ts goes on without.
    files: ['ui/src/**'],
    ignores: ['ui/src/lib/page/kept.ts', 'ui/src/lib/page/kept.test.ts'],
    rules: { 'no-restricted-globals': ['error', 'localStorage', 'sessionStorage'] },
  },
  {
    // What runes, snippets and generic components are is known to svelte-check; here they look like any.
    files: ['**/*.svelte', '**/*.svelte.ts'],
    rules: {
      '@typescript-eslint/no-unnecessary-type-assertion': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
    },
  },
)
