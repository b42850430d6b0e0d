export function chromiumPath(): string;
export function ensureChromium(): void;
