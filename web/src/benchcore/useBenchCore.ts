import { useSyncExternalStore } from 'react';

/** The core's rules that the bench needs without signal. */
export type BenchCore = typeof import('bench-core');

let loaded: BenchCore | undefined;
const waiting = new Set<() => void>();

/** Loads the core in the background; it comes with the application, so this works without signal. */
export async function loadBenchCore(): Promise<BenchCore> {
  loaded ??= await import('bench-core');
  waiting.forEach((tell) => {
    tell();
  });
  return loaded;
}

function subscribe(onChange: () => void): () => void {
  waiting.add(onChange);
  void loadBenchCore();
  return () => {
    waiting.delete(onChange);
  };
}

/** The core, once it is there. */
export function useBenchCore(): BenchCore | undefined {
  return useSyncExternalStore(subscribe, () => loaded);
}
