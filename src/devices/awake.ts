/**
 * Keeps the screen on while it is asked for; the browser lets go when the page is hidden, so it is asked again when the
 * page comes back. Where the browser cannot, nothing happens.
 * @returns lets it go
 */
export function keepAwake(): () => void {
  let lock: WakeLockSentinel | null = null;
  let over = false;
  const ask = async () => {
    if (over || document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
    try {
      const got = await navigator.wakeLock.request('screen');
      if (over) void got.release();
      else lock = got;
    } catch {
      // A low battery refuses it: the clocks go on all the same.
    }
  };
  const again = () => void ask();
  document.addEventListener('visibilitychange', again);
  void ask();
  return () => {
    over = true;
    document.removeEventListener('visibilitychange', again);
    void lock?.release();
  };
}
