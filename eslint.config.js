import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';

const banned = (object, property, message) => ({ object, property, message });

export default ts.config(
	{
		ignores: ['build/', '.svelte-kit/', 'node_modules/', '.bolster/', 'test-results/', 'playwright-report/']
	},
	js.configs.recommended,
	...ts.configs.recommended,
	...svelte.configs.recommended,
	{
		languageOptions: { globals: { ...globals.node, ...globals.browser } },
		rules: {
			'@typescript-eslint/no-unused-vars': [
				'error',
				{ argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true }
			],
			'@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
			'svelte/no-navigation-without-resolve': 'off',
			'no-undef': 'off'
		}
	},
	{
		files: ['src/**/*.ts', 'demo/**/*.ts', 'src/**/*.svelte'],
		ignores: ['**/*.test.ts', '**/migrations/**'],
		rules: {
			'max-lines-per-function': ['error', { max: 80 }],
			complexity: ['error', { max: 15, variant: 'modified' }]
		}
	},
	{
		files: ['**/*.svelte', '**/*.svelte.ts'],
		languageOptions: { parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'] } }
	},
	{
		files: ['src/lib/core/**/*.ts', 'src/lib/catalogue/**/*.ts'],
		ignores: ['**/*.test.ts'],
		languageOptions: { parserOptions: { project: './tsconfig.core.json' } },
		rules: {
			'@typescript-eslint/switch-exhaustiveness-check': [
				'error',
				{ considerDefaultExhaustiveForUnions: true }
			],
			'no-restricted-properties': [
				'error',
				banned('Date', 'now', 'The day comes in as an argument.'),
				banned('Math', 'random', 'Chance comes in as a seed.'),
				banned('process', 'env', 'The core knows no environment.')
			],
			'no-restricted-syntax': [
				'error',
				{ selector: "NewExpression[callee.name='Date']", message: 'The day comes in as an argument.' },
				{ selector: 'ClassDeclaration', message: 'No classes in the core.' }
			]
		}
	}
);
