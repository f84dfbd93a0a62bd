/** A session of two sets as its form is sent: what is measured logs the same. */
export const aSession = (day: string) => ({
	day,
	observed: 'on',
	effort: '5',
	before: '1',
	peak: '2',
	after: '1',
	'set.0.reps': '8',
	'set.1.reps': '8'
});
