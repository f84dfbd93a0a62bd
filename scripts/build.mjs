/** npm run build: builds the application, unless the last build is of these very sources. */
import { ensureBuild } from './ensure.mjs';

ensureBuild();
