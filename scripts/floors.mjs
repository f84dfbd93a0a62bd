/** The floors of the house: each folder with what it may import besides itself. One table, held by dependency-cruiser. */
const CORE = [
	'base',
	'body',
	'posture',
	'figure',
	'exercise',
	'measure',
	'client',
	'movement',
	'fit',
	'dose',
	'session',
	'safety',
	'decision',
	'plan',
	'rehearse'
];
const core = CORE.map((name, i) => ({
	name: `core-${name}`,
	path: `src/lib/core/${name}`,
	may: CORE.slice(0, i).map((n) => `src/lib/core/${n}`),
	packages: false
}));

export const FLOORS = [
	...core,
	{ name: 'catalogue', path: 'src/lib/catalogue', may: ['src/lib/core'], packages: false },
	{ name: 'wording', path: 'src/lib/wording', may: ['src/lib/core', 'src/lib/catalogue'], packages: false },
	{
		name: 'exchange',
		path: 'src/lib/exchange',
		may: ['src/lib/core', 'src/lib/catalogue', 'src/lib/wording'],
		packages: true
	},
	{
		name: 'contract',
		path: 'src/lib/contract',
		may: ['src/lib/core', 'src/lib/catalogue', 'src/lib/wording'],
		packages: true
	},
	{
		name: 'ui',
		path: 'src/lib/ui',
		may: ['src/lib/core', 'src/lib/catalogue', 'src/lib/contract', 'src/lib/wording', 'src/lib/workers'],
		packages: true
	},
	{
		name: 'workers',
		path: 'src/lib/workers',
		may: ['src/lib/core', 'src/lib/catalogue', 'src/lib/exchange'],
		packages: false
	},
	{ name: 'db', path: 'src/lib/server/db', may: ['src/lib/core/base'], packages: true },
	{
		name: 'repo',
		path: 'src/lib/server/repo',
		may: ['src/lib/server/db', 'src/lib/contract', 'src/lib/core'],
		packages: true
	},
	{
		name: 'keep',
		path: 'src/lib/server/keep',
		may: ['src/lib/server/db', 'src/lib/server/mail', 'src/lib/core/base'],
		packages: true
	},
	{ name: 'mail', path: 'src/lib/server/mail', may: [], packages: true },
	{
		name: 'auth',
		path: 'src/lib/server/auth',
		may: ['src/lib/server/db', 'src/lib/server/mail'],
		packages: true
	},
	{
		name: 'record',
		path: 'src/lib/server/record',
		may: [
			'src/lib/server/repo',
			'src/lib/server/db',
			'src/lib/catalogue',
			'src/lib/contract',
			'src/lib/core',
			'src/lib/wording'
		],
		packages: true
	},
	{
		name: 'view',
		path: 'src/lib/server/view',
		may: [
			'src/lib/server/record',
			'src/lib/server/repo',
			'src/lib/catalogue',
			'src/lib/contract',
			'src/lib/core',
			'src/lib/exchange',
			'src/lib/wording'
		],
		packages: false
	},
	{
		name: 'usecase',
		path: 'src/lib/server/usecase',
		may: [
			'src/lib/server/view',
			'src/lib/server/record',
			'src/lib/server/repo',
			'src/lib/server/keep',
			'src/lib/server/mail',
			'src/lib/server/db',
			'src/lib/exchange',
			'src/lib/catalogue',
			'src/lib/contract',
			'src/lib/core',
			'src/lib/wording'
		],
		packages: true
	},
	{
		name: 'thread',
		path: 'src/lib/server/thread',
		may: ['src/lib/server/usecase', 'src/lib/server/repo', 'src/lib/server/db', 'src/lib/core/base'],
		packages: true
	},
	{
		name: 'jobs',
		path: 'src/lib/server/jobs',
		may: ['src/lib/server/usecase', 'src/lib/server/mail', 'src/lib/server/db', 'src/lib/core/base'],
		packages: true
	},
	{
		name: 'http',
		path: 'src/lib/server/http',
		may: [
			'src/lib/server/usecase',
			'src/lib/server/record',
			'src/lib/server/auth',
			'src/lib/server/mail',
			'src/lib/contract',
			'src/lib/core'
		],
		packages: true
	},
	{
		name: 'routes',
		path: 'src/routes',
		may: [
			'src/lib/ui',
			'src/lib/wording',
			'src/lib/workers',
			'src/lib/exchange',
			'src/lib/contract',
			'src/lib/catalogue',
			'src/lib/core',
			'src/lib/server/usecase',
			'src/lib/server/view',
			'src/lib/server/record',
			'src/lib/server/http',
			'src/app.css',
			'docs/sources.md'
		],
		packages: true
	},
	{
		name: 'cli',
		path: 'src/cli',
		may: ['src/lib/contract', 'src/lib/catalogue', 'src/lib/core', 'src/lib/wording'],
		packages: true
	}
];
