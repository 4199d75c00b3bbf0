import { useEffect } from 'react';

/** A tone and a buzz, where the device has them; a phone on silent still shows the figures. */
export function signal(urgent: boolean): void {
  navigator.vibrate?.(urgent ? [300, 120, 300, 120, 300] : [200]);
  try {
    const context = new AudioContext();
    const tone = context.createOscillator();
    const volume = context.createGain();
    tone.frequency.value = urgent ? 880 : 587;
    volume.gain.setValueAtTime(0.25, context.currentTime);
    volume.gain.exponentialRampToValueAtTime(0.001, context.currentTime + (urgent ? 1.2 : 0.5));
    tone.connect(volume).connect(context.destination);
    tone.start();
    tone.stop(context.currentTime + 1.3);
    tone.onended = () => void context.close();
  } catch {
    // No sound on this device.
  }
}

/** Keeps the screen lit while the page is in sight, where the browser lets it. */
export function useLitScreen(on: boolean): void {
  useEffect(() => {
    if (!on || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | undefined;
    let left = false;
    const take = (): void => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock.request('screen').then(
        (l) => {
          if (left) void l.release();
          else lock = l;
        },
        () => undefined,
      );
    };
    take();
    // A lock is lost whenever the page goes out of sight.
    document.addEventListener('visibilitychange', take);
    return () => {
      left = true;
      document.removeEventListener('visibilitychange', take);
      void lock?.release();
    };
  }, [on]);
}
