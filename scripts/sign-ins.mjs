/** The demo's sign-ins, for printing; a test holds them to demo/people.ts. */
export const STAFF = [
	{ role: 'physiotherapist', email: 'physio@tidewater.example', password: 'heron-on-the-jetty' },
	{ role: 'trainer', email: 'trainer@tidewater.example', password: 'kettle-by-the-quay' },
	{ role: 'owner', email: 'owner@tidewater.example', password: 'lantern-at-low-tide' }
];
