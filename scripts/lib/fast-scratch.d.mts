export function scratchInMemory(): void;
