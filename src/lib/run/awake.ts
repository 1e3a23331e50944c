/** Keeps the screen awake where the browser can; returns what lets it sleep again. */
export function keepAwake(): () => void {
  let lock: WakeLockSentinel | undefined;
  const ask = () => {
    if (document.visibilityState === 'visible')
      navigator.wakeLock?.request('screen').then(
        (l) => (lock = l),
        () => undefined // refused on a low battery; the run goes on
      );
  };
  ask();
  // The lock is lost when the page is hidden.
  document.addEventListener('visibilitychange', ask);
  return () => {
    document.removeEventListener('visibilitychange', ask);
    void lock?.release();
  };
}
