/** Words of one request are written as its practice writes; those of another request, which may run between, as its own does. */
import { AsyncLocalStorage } from 'node:async_hooks';
import { AS_USUAL, writeAs, writtenAs, type WrittenAs } from '#lib/wording/written-as.ts';

const requests = new AsyncLocalStorage<WrittenAs>();
writeAs(() => requests.getStore() ?? AS_USUAL);

export { writtenAs };
export const writing = <T>(as: WrittenAs, work: () => T): T => requests.run(as, work);
