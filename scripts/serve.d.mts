export function processesHere(said?: string): number;
export function serverCommand(many: number): string[];
