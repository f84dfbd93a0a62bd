/** JSON lines about requests and faults. Never health data: ids, paths without query, status and time only. */
import { pino } from 'pino';

export const log = pino({ name: 'bolster', level: process.env.LOG_LEVEL ?? 'info', base: null });
