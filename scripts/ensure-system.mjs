/** What the checks need of Debian: PostgreSQL and the browser of the flows. Runs beside the installing of packages, and needs none of them. */
import { ensurePostgres } from './cluster.mjs';
import { ensureChromium } from './ensure.mjs';

ensurePostgres();
ensureChromium();
