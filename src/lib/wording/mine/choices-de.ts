/** What can be set inside a step, in German: the choice, and its places. */
interface ChoiceWords {
	readonly title: string;
	readonly of: Readonly<Record<string, string>>;
}

export const CHOICES_DE: Readonly<Record<string, ChoiceWords>> = {
	touch: { title: 'Sitz', of: { touch: 'berührt', hover: 'darüber schweben' } },
	behind: {
		title: 'Stuhl steht',
		of: { '0': 'an den Fersen', '5': '5 cm dahinter', '10': '10 cm dahinter' }
	},
	pause: { title: 'Pause', of: { '0': 'keine', '2': '2 s', '5': '5 s' } },
	stance: { title: 'Füße', of: { '0.7': 'eng', '1': 'hüftbreit', '1.4': 'anderthalb Hüften', '2': 'weit' } },
	toes: { title: 'Zehen', of: { '0': 'nach vorn', '10': '10° nach außen', '25': '25° nach außen' } },
	wedge: { title: 'Keil', of: { '5': '5 cm', '3': '3 cm', '1': '1 cm' } },
	heel: { title: 'Ferse', of: { '0': 'flach', '2': 'auf 2 cm', '5': 'auf 5 cm' } },
	sides: { title: 'Seiten', of: { alternate: 'im Wechsel', one: 'erst eine, dann die andere' } },
	'rear-knee': { title: 'hinteres Knie', of: { hover: 'schwebt', touch: 'berührt den Boden' } },
	settle: { title: 'nach dem Schritt', of: { '2': '2 s stehen', '1': '1 s stehen', '0': 'gleich weiter' } },
	riser: {
		title: 'vorderer Fuß',
		of: { '5': 'auf 5 cm', '10': 'auf 10 cm', '15': 'auf 15 cm', '20': 'auf 20 cm' }
	},
	'rear-foot': { title: 'hinterer Fuß', of: { helps: 'hilft', hardly: 'hilft kaum' } },
	'second-dip': { title: 'hinteres Knie', of: { rests: 'liegt auf', hovers: 'schwebt' } },
	shift: {
		title: 'so weit wie',
		of: {
			shift: 'das Verlagern',
			turned: 'das gedrehte Becken',
			tuck: 'das gekippte Becken',
			'toe-wedges': 'die Zehen auf Keilen',
			'rear-heel': 'die leichte hintere Ferse',
			arms: 'Arme und Runden'
		}
	},
	hands: { title: 'Hände', of: { behind: 'hinten', ahead: 'vorn', free: 'frei' } },
	arms: {
		title: 'Arme',
		of: {
			rest: 'ruhig',
			'fists-back': 'Fäuste zurückgezogen',
			ahead: 'vorn verschränkt',
			overhead: 'über dem Kopf'
		}
	},
	'lean-on': { title: 'Hände', of: { block: 'auf einem Block oder hinten', leg: 'auf dem vorderen Bein' } },
	back: {
		title: 'zurücklehnen',
		of: {
			upright: 'gar nicht',
			blocks: 'Hüfte auf Blöcken',
			elbows: 'Ellbogen auf Blöcken',
			lying: 'ganz zurück'
		}
	},
	'ankle-from': { title: 'ausgeführt', of: { standing: 'im Stehen', kneeling: 'im Knien' } },
	'plank-on': { title: 'auf', of: { forearms: 'den Unterarmen', hands: 'den Händen' } },
	'free-leg': { title: 'freies Bein', of: { bent: 'gebeugt', straight: 'gestreckt' } },
	'rest-on': { title: 'Schultern auf', of: { bench: 'einer Bank', ball: 'einem Ball' } },
	'band-at': {
		title: 'Band',
		of: { knees: 'über den Knien', shins: 'um die Schienbeine', ankles: 'um die Knöchel' }
	},
	'band-lift': {
		title: 'Band',
		of: { none: 'keines', shins: 'um die Schienbeine', ankles: 'um die Knöchel' }
	},
	room: { title: 'Platz', of: { long: 'alles in eine Richtung', short: '3–5 Schritte und zurück' } },
	pillow: { title: 'Kissen', of: { thick: 'dick', thin: 'dünn' } },
	'off-wall': {
		title: 'von der Wand',
		of: { close: 'dicht daran', 'half-step': 'einen halben Schritt weg' }
	},
	'in-line': {
		title: 'Füße',
		of: { wide: 'eine Hüfte auseinander', half: 'eine halbe Hüfte', line: 'auf einer Linie' }
	},
	'bar-knee': { title: 'Knie', of: { 'as-taught': 'wie der Griff verlangt', '45': '45°' } },
	'hinge-knee': { title: 'Knie', of: { soft: 'weich', straight: 'fast gestreckt' } },
	'curl-to': { title: 'beugen', of: { half: 'halb', '90': 'bis 90°', full: 'ganz' } },
	carried: { title: 'getragen', of: { chest: 'eines vor der Brust', sides: 'zwei an den Seiten' } },
	weights: { title: 'auf den Schultern', of: { one: 'ein Gewicht', two: 'zwei Gewichte' } },
	taken: { title: 'ausgeführt', of: { seated: 'im Sitzen', kneeling: 'im Knien', standing: 'im Stehen' } },
	'lies-on': { title: 'Bank', of: { flat: 'flach, mit Rolle', bent: 'geknickt, ohne Rolle' } },
	'sits-on': { title: 'sitzt', of: { '10': '10 cm erhöht', '5': '5 cm erhöht', '0': 'auf dem Boden' } },
	pillows: { title: 'Kissen', of: { '20': '20 cm hoch', '10': '10 cm hoch', '0': 'keine' } },
	arc: { title: 'Bogen', of: { '15': 'ab 15°', '30': 'ab 30°' } }
};
