export function useFastScratch(): void;
