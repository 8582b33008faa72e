import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';

/** What prettier does not see and the compiler does not say. */
export default ts.config(
  { ignores: ['build/', '.svelte-kit/', 'node_modules/', 'src/lib/api/schema.d.ts'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  prettier,
  ...svelte.configs.prettier,
  { languageOptions: { globals: { ...globals.browser, ...globals.node } } },
  { files: ['**/*.svelte', '**/*.svelte.ts'], languageOptions: { parserOptions: { parser: ts.parser } } },
  {
    rules: {
      // The compiler knows every name.
      'no-undef': 'off',
      eqeqeq: 'error',
      'no-var': 'error',
      'no-console': 'error',
      // Properties of components are taken apart with let, as Svelte's own guide does.
      'prefer-const': ['error', { destructuring: 'all' }],
      // It is served from the root of its address.
      'svelte/no-navigation-without-resolve': 'off',
      // Collections are made anew and never changed where they are kept.
      'svelte/prefer-svelte-reactivity': 'off',
      // A text in braces is how braces are written.
      'svelte/no-useless-mustaches': 'off'
    }
  },
  { files: ['**/*.svelte'], rules: { 'prefer-const': 'off' } }
);
