import { FLOORS } from './scripts/floors.mjs';

const tests = '\\.(test|e2e)\\.ts$';
const generated = '(^|/)\\$types|\\.svelte-kit';

/** @type {import('dependency-cruiser').IConfiguration} */
export default {
	forbidden: [
		{ name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
		{
			name: 'no-unresolvable',
			severity: 'error',
			from: { pathNot: tests },
			to: {
				couldNotResolve: true,
				pathNot: ['^\\$app/', '^\\$service-worker$', '\\$types$', '\\?worker$', '\\?raw$', '^fhir/r4$']
			}
		},
		{
			// The shape of a row may be shared; what is read may not.
			name: 'repositories-do-not-import-each-other',
			severity: 'error',
			from: { path: '^src/lib/server/repo/([^/]+)\\.ts$', pathNot: tests },
			to: { path: '^src/lib/server/repo/', pathNot: '$1|-row\\.ts$' }
		},
		...FLOORS.map((f) => ({
			name: `floor-${f.name}`,
			severity: 'error',
			comment: `${f.path} may import ${f.may.join(', ') || 'nothing'}`,
			from: { path: `^${f.path}/`, pathNot: tests },
			to: {
				path: '^(src|docs|demo|tests|scripts)/',
				pathNot: [`^${f.path}/`, ...f.may.map((m) => `^${m}(/|$)`), generated]
			}
		})),
		...FLOORS.filter((f) => !f.packages).map((f) => ({
			name: `pure-${f.name}`,
			severity: 'error',
			from: { path: `^${f.path}/`, pathNot: tests },
			to: { dependencyTypes: ['npm', 'npm-dev', 'npm-peer', 'npm-optional', 'core'] }
		}))
	],
	options: {
		tsPreCompilationDeps: true,
		doNotFollow: { path: 'node_modules' },
		exclude: { path: generated },
		enhancedResolveOptions: {
			exportsFields: ['exports'],
			conditionNames: ['svelte', 'import', 'default'],
			extensions: ['.ts', '.js', '.mjs', '.svelte']
		},
		tsConfig: { fileName: 'tsconfig.json' }
	}
};
