/** Whether this page can be opened again without a network: browsers keep it only when it came over https, or from this machine. */
export const canKeepShell = (): boolean => 'serviceWorker' in navigator

/** Has the browser keep the whole interface, so that a run goes on with the network cable out. */
export function keepShell(): void {
  // a page that is served while it is written has no worker to keep it
  if (!canKeepShell() || import.meta.env.DEV) return
  navigator.serviceWorker.register('/sw.js').catch(() => undefined)
}
