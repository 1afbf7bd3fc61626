/** Three short tones that carry over a fan, Hz and s. Judgement, no source. */
const TONES = [880, 660, 880] as const;
const TONE_S = 0.18;

let context: AudioContext | null = null;

/** Sounds and shakes once, where the browser can and the user has touched the page. */
export function ring(): void {
  try {
    navigator.vibrate?.([200, 80, 200]);
    context ??= new AudioContext();
    const { currentTime, destination } = context;
    TONES.forEach((hertz, i) => {
      const tone = new OscillatorNode(context as AudioContext, { frequency: hertz });
      const loud = new GainNode(context as AudioContext, { gain: 0.2 });
      tone.connect(loud).connect(destination);
      tone.start(currentTime + i * TONE_S * 1.5);
      tone.stop(currentTime + i * TONE_S * 1.5 + TONE_S);
    });
    void context.resume();
  } catch {
    // A machine without sound still shows it.
  }
}

/** Tells the system as well, where it was allowed and the page is not in sight. */
export function notify(words: string): void {
  if (typeof Notification === 'undefined' || Notification.permission !== 'granted') return;
  if (document.visibilityState === 'visible' || words === '') return;
  try {
    new Notification('Bilamina', { body: words, tag: 'bilamina-wet' });
  } catch {
    // Some machines only take them from a worker: the page still shows it.
  }
}

/** Whether the system was asked, and what it said; null: it cannot. */
export const notifyAllowed = (): NotificationPermission | null =>
  typeof Notification === 'undefined' ? null : Notification.permission;
export const askToNotify = (): Promise<NotificationPermission> => Notification.requestPermission();
