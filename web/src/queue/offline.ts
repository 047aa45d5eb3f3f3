/** Has the browser keep the application, so that it opens without signal, and what was written down, under any pressure. */
export async function keepForOffline(): Promise<void> {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) {
    return;
  }
  try {
    await navigator.serviceWorker.register('/sw.js');
    await navigator.storage.persist();
  } catch {
    // Where it cannot be kept (no https away from this machine, a private window), the application works with signal only.
  }
}
