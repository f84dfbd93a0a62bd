export function processesHere(said?: string, processors?: number): number;
export function serverCommand(many: number): string[];
