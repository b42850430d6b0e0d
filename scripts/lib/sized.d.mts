export const isSmoke: boolean;
export function sized(full: number, few: number): number;
export function demoFolder(): string;
