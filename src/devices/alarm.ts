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
