/** Each verdict's shape and tone; never a colour alone. */
export const MARK = { fits: '●', 'set-up': '◆', watch: '▲', blocked: '✕', unmeasured: '?' } as const;
export const TONE = {
	fits: 'text-tolerated',
	'set-up': 'text-accent',
	watch: 'text-caution',
	blocked: 'text-quiet',
	unmeasured: 'text-quiet'
} as const;
