import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['dist', 'target', 'src/api/schema.d.ts', 'public'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  hooks.configs.flat['recommended-latest'],
  { rules: { '@typescript-eslint/no-non-null-assertion': 'error' } },
);
