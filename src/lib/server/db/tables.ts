/** Kysely's view of the tables: rows as they come from the driver (days as text, timestamps as Date, JSON parsed). */
import type { ColumnType, Generated } from 'kysely';

type Json = ColumnType<unknown, string, string>;
type Days = string;

export interface Appended {
	practice_id: string;
	id: string;
	written_by: string;
	recorded_at: Generated<Date>;
	content_hash: string;
	replaces_id: string | null;
	voided: Generated<boolean>;
	reason: string | null;
}

/** Written by the database alone. */
interface RecordVersion {
	practice_id: string;
	id: string;
	version: number;
}

interface Owned {
	practice_id: string;
	id: string;
}

export interface Tables {
	record_version: RecordVersion;
	practice: {
		id: string;
		name: string;
		tz: string;
		units: string;
		is_demo: boolean;
		emergency: string;
		default_policy: string;
		default_technique: string | null;
		emergency_words: Generated<string>;
		week_start: Generated<number>;
		date_order: Generated<string>;
		screening_weeks: number | null;
		retest_weeks: number | null;
		default_brace: Generated<string>;
		trainer_signs: Generated<string>;
		retention_years: Generated<number>;
		quiet_from: Generated<number>;
		quiet_to: Generated<number>;
	};
	invitation: Owned & {
		email: string;
		name: string;
		roles: string[];
		licence_no: string | null;
		licensed_until: Days | null;
		token_hash: string;
		expires_at: Date;
		invited_by: string;
		used_at: Date | null;
		revoked_at: Date | null;
	};
	practice_change: Appended & { what: string };
	member: Owned & {
		user_id: string;
		name: string;
		roles: string[];
		licence_no: string | null;
		licensed_until: Days | null;
		ended_at: Days | null;
	};
	client: Owned & { tz: string; status: Generated<string>; opened_on: Days };
	person: Owned & {
		client_id: string;
		name: string;
		born: Days;
		occupation: string | null;
		sex?: string | null;
	};
	client_setting: Appended & {
		client_id: string;
		technique: string | null;
		policy_id: string;
		policy_version: string;
		height_mm: number;
		mass_g: number;
		shank_mm: number | null;
		thigh_mm: number | null;
		front_of_knee: boolean;
		goal: string | null;
		usual: Json;
		units?: string;
		language?: string;
		home_kit?: Json;
		days?: Json;
		minutes?: number | null;
		trunk_mm?: number | null;
		foot_mm?: number | null;
		shoe_heel_mm?: number | null;
		positions?: Json;
		clearances?: Json;
		brace?: string;
		home_heights?: Json;
	};
	screening: Appended & {
		client_id: string;
		local_day: Days;
		complete: boolean;
		answers: Json;
		version?: string | null;
	};
	flag: Appended & {
		client_id: string;
		local_day: Days;
		code: string;
		region: string | null;
		severity: string;
		urgency?: string | null;
	};
	flag_closing: Appended & {
		flag_id: string;
		local_day: Days;
		note: string;
		closed_by?: string;
		cleared_by?: string | null;
		cleared_on?: Days | null;
		document?: string | null;
		mistaken?: boolean;
	};
	surgery: Appended & {
		client_id: string;
		region: string;
		local_day: Days;
		limits_entered: boolean;
		operation?: string | null;
		no_limits_by?: string | null;
		entered_on?: Days | null;
	};
	protocol: Appended & {
		client_id: string;
		surgery_id: string;
		source: string;
		review_on: Days | null;
		phases: Json;
	};
	known_symptom: Appended & {
		client_id: string;
		region: string;
		symptom: string;
		until: Days;
		local_day: Days;
	};
	protocol_limit: Appended & {
		client_id: string;
		axis: string;
		side: string;
		min_tenths?: number | null;
		max_tenths: number | null;
		applies?: string;
		local_day?: Days | null;
		source: string;
		review_on: Days | null;
		lifted: boolean;
	};
	measurement: Appended & {
		client_id: string;
		axis: string;
		side: string;
		onset_tenths: number;
		tolerable_tenths: number;
		end_tenths: number;
		pain: number;
		local_day: Days;
		method: string;
		raw_value: number | null;
		loaded: boolean;
		limited_by?: string | null;
	};
	equipment: Owned & {
		kind: string;
		label: string;
		value: number;
		unit: string;
		mm: number | null;
		g: number | null;
		count: number;
		room?: string;
		out_of_order?: boolean;
	};
	exercise: Owned & {
		client_id: string;
		family: string;
		region: string;
		side: string | null;
		purpose: string;
	};
	prescription: Appended & {
		exercise_id: string;
		client_id: string;
		local_day: Days;
		step: string;
		dose: Json;
		setup: Json | null;
		snapshot: Json;
		state: string;
		kind: string;
		restores_id: string | null;
		decision_id: string | null;
		passed_over?: Json;
		particulars?: Json;
	};
	plan_order: Appended & { client_id: string; groups: Json };
	note: Appended & {
		client_id: string;
		region: string | null;
		exercise_id: string | null;
		visit_id?: string | null;
		flag_id?: string | null;
		local_day: Days;
		body: string;
	};
	story: Appended & { client_id: string; region: string; local_day: Days; body: Json };
	repeated_movement: Appended & {
		client_id: string;
		local_day: Days;
		way: string;
		leg: string;
		repetitions: number;
	};
	attachment: Appended & {
		client_id: string;
		local_day: Days;
		kind: string;
		title: string;
		media: string;
		size: number;
		sha256: string;
		bytes: Buffer;
	};
	contact: Appended & { client_id: string; role: string; name: string; phone: string; local_day: Days };
	client_status: Appended & { client_id: string; status: string; local_day: Days; outcome: Json };
	visit: Appended & { client_id: string; local_day: Days; tz: string; started_at: Date; observed: boolean };
	exercise_log: Appended & {
		change: Generated<number>;
		visit_id: string;
		client_id: string;
		exercise_id: string;
		prescription_id: string;
		prescribed: Json;
		sets: Json;
		pains: Json;
		pain_at: string | null;
		pain_only_loaded: boolean | null;
		symptoms: Json | null;
		radiating_lower: boolean | null;
		cauda_equina: string | null;
		faults: Json | null;
		incomplete_because: string | null;
		soreness: number | null;
		confidence: number | null;
		felt?: Json | null;
		as_usual?: Json | null;
		soreness_over_72h?: boolean | null;
		against_advice?: boolean;
		lighter?: boolean;
	};
	checkin: Appended & {
		client_id: string;
		local_day: Days;
		moment: string;
		region: string;
		pain: number | null;
		stiffness_min: number | null;
		swelling: string | null;
		soreness?: number | null;
		provocation: number | null;
		recalled: boolean;
		fever?: boolean | null;
		calf?: boolean | null;
		cannot_stand?: boolean | null;
	};
	day_event: Appended & { client_id: string; local_day: Days; kind: string };
	decision: Appended & {
		exercise_id: string;
		client_id: string;
		local_day: Days;
		based_on: string;
		inputs: Json;
		inputs_hash: string;
		versions: Json;
		proposal: Json;
		answer: string;
		outcome: Json;
	};
	delegation: Appended & {
		client_id: string;
		member_id: string;
		families: string[];
		expires: Days;
		call_when?: string;
	};
	consent: Appended & { client_id: string; purpose: string; given: boolean; local_day: Days };
	complaint: Appended & {
		client_id: string;
		region: string;
		spot: string;
		local_day: Days;
		usual_morning: number;
		worst: number;
		easing: string | null;
		stiffness_min: number | null;
		pain_at: string | null;
		loaded: string;
		position: string | null;
	};
	goal: Appended & {
		client_id: string;
		activity: string;
		label: string;
		local_day: Days;
		score: number;
		confidence: number | null;
		side: string | null;
		point: Json | null;
	};
	test_result: Appended & {
		client_id: string;
		test: string;
		side: string | null;
		value_hundredths: number;
		extras: Json;
		method: string;
		local_day: Days;
	};
	questionnaire_total: Appended & {
		client_id: string;
		instrument: string;
		version: string;
		total_hundredths: number;
		local_day: Days;
	};
	arrival: Appended & {
		client_id: string;
		local_day: Days;
		pains: Json;
		fever: string;
		fall: string;
		new_swelling: string;
		answer: string;
		said?: Json;
		opened_by?: string | null;
	};
	own_family: Appended & { family: string; content: Json; local_day: Days };
	own_course: Appended & { course: string; content: Json; local_day: Days };
	receipt: Appended & { verb: string; client_id: string | null; outcome: Json };
	access_log: Appended & { client_id: string; what: string };
	client_week: Appended & { client_id: string; local_day: Days; content: Json };
	client_link: Appended & {
		client_id: string;
		local_day: Days;
		token_hash: string;
		expires_at: Date;
		email?: string;
		phone?: string;
	};
	nudge: Owned & { client_id: string; local_day: Days; at: Generated<Date> };
	client_device: Owned & {
		client_id: string;
		link_id: string;
		token_hash: string;
		opened_at: Generated<Date>;
	};
	client_course: Appended & { client_id: string; course: string; region: string; local_day: Days };
	left_out: Appended & { client_id: string; step: string; because: string; local_day: Days };
	erasure_request: Appended & { client_id: string; local_day: Days; because: string; why: string };
	erasure: Owned & {
		because: string;
		asked_by: string;
		agreed_by: string;
		erased_at: Generated<Date>;
		rows: number;
	};
	sign_in: Owned & { member_id: string; what: string; address: string; at: Generated<Date> };
	refused_look: Owned & { member_id: string; asked: string; why: string; at: Generated<Date> };
}
