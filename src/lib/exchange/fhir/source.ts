/** What a FHIR bundle of a client is made from: the record in plain values, whoever keeps it. Days are local days, instants ISO with a zone. */
import type { Day } from '../../core/base/calendar-day.ts';
import type { Side } from '../../core/body/axis.ts';
import type { PrescribedDose } from '../../core/dose/dose.ts';
import type { SolvedSetup } from '../../core/movement/context.ts';
import type { Morning, Session } from '../../core/session/record.ts';

export interface FhirSource {
	readonly madeAt: string;
	readonly practice: { readonly id: string; readonly name: string };
	readonly client: {
		readonly id: string;
		readonly name: string;
		readonly born: Day;
		readonly sex: 'female' | 'male' | null;
		readonly contacts: readonly { readonly role: string; readonly name: string; readonly phone: string }[];
	};
	readonly body: {
		readonly id: string;
		readonly day: Day;
		readonly heightCm: number;
		readonly massKg: number;
	};
	readonly screening: {
		readonly day: Day;
		readonly complete: boolean;
		readonly answers: Readonly<Record<string, string>>;
	} | null;
	readonly flags: readonly {
		readonly id: string;
		readonly code: string;
		readonly region: string | null;
		readonly day: Day;
		readonly open: boolean;
		readonly closedOn: Day | null;
	}[];
	readonly operations: readonly {
		readonly id: string;
		readonly region: string;
		readonly day: Day;
		readonly operation: string | null;
	}[];
	readonly consents: readonly {
		readonly id: string;
		readonly purpose: string;
		readonly given: boolean;
		readonly day: Day;
	}[];
	readonly ranges: readonly {
		readonly id: string;
		readonly axis: string;
		readonly side: Side;
		readonly onset: number;
		readonly tolerable: number;
		readonly end: number;
		readonly pain: number;
		readonly day: Day;
		readonly method: string;
	}[];
	readonly tests: readonly {
		readonly id: string;
		readonly test: string;
		readonly side: Side | null;
		readonly value: number;
		readonly day: Day;
	}[];
	readonly totals: readonly {
		readonly id: string;
		readonly instrument: string;
		readonly version: string;
		readonly total: number;
		readonly day: Day;
	}[];
	readonly mornings: readonly (Morning & { readonly id: string })[];
	readonly goals: readonly {
		readonly id: string;
		readonly label: string;
		readonly scores: readonly { readonly day: Day; readonly score: number }[];
	}[];
	readonly exercises: readonly {
		readonly id: string;
		readonly region: string;
		readonly prescriptions: readonly {
			readonly id: string;
			readonly day: Day;
			readonly title: string;
			readonly dose: PrescribedDose;
			readonly setup: SolvedSetup | null;
			readonly state: 'active' | 'stopped' | 'set-aside' | 'ended';
			readonly replaces: string | null;
		}[];
	}[];
	readonly sessions: readonly {
		readonly id: string;
		readonly prescriptionId: string;
		readonly title: string;
		readonly session: Session;
	}[];
	readonly decisions: readonly {
		readonly id: string;
		readonly day: Day;
		readonly recordedAt: string;
		readonly text: string;
		readonly answer: string;
		readonly by: string;
	}[];
}
