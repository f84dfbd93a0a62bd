/** The end of the lane of an own practice: its files share one folder, which goes with the last of them. */
import { rmSync } from 'node:fs';

export default function setup(): () => void {
	return () => {
		const home = process.env.OWN_HOME ?? '';
		for (const path of [home, `${home}-known.json`]) rmSync(path, { recursive: true, force: true });
	};
}
