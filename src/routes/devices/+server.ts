import { json } from '@sveltejs/kit';
import { PROTOCOL } from '#lib/contract/device.ts';
import { DEVICES } from '#lib/server/http/device-stream.ts';

/** The devices that can be read here, with what they measure. */
export const GET = () => json({ protocol: PROTOCOL, devices: DEVICES });
