/** Soon, now and stop, and a phone that is rehearsed: told apart by pitch, number and length, made in the browser. */
export type Sound = "soon" | "now" | "stop" | "phone";

const TONES: Record<Sound, { hz: number; ms: number; times: number }> = {
  soon: { hz: 660, ms: 120, times: 1 },
  now: { hz: 880, ms: 160, times: 2 },
  stop: { hz: 220, ms: 600, times: 3 },
  phone: { hz: 1_480, ms: 70, times: 12 },
};

let audio: AudioContext | null = null;

/** Browsers let a page sound only after somebody touched it. */
export function wakeSound() {
  audio ??= typeof AudioContext === "undefined" ? null : new AudioContext();
  if (audio?.state === "suspended") {
    void audio.resume();
  }
}

/** Whether the browser still waits for a touch before anything may sound. */
export function isShut(): boolean {
  return audio?.state !== "running";
}

export function play(sound: Sound) {
  const tone = TONES[sound];
  for (let i = 0; i < tone.times; i++) {
    beep(tone.hz, tone.ms, i * tone.ms * 1.6);
  }
}

/** One short tick, for a scale that comes near its mark. */
export function tick() {
  beep(1_320, 40, 0);
}

function beep(hz: number, ms: number, inMs: number) {
  if (!audio || audio.state !== "running") {
    return;
  }
  const from = audio.currentTime + inMs / 1000;
  const swing = audio.createOscillator();
  const loud = audio.createGain();
  swing.frequency.value = hz;
  loud.gain.setValueAtTime(0.0001, from);
  loud.gain.exponentialRampToValueAtTime(0.3, from + Math.min(0.02, ms / 4000));
  loud.gain.exponentialRampToValueAtTime(0.0001, from + ms / 1000);
  swing.connect(loud).connect(audio.destination);
  swing.start(from);
  swing.stop(from + ms / 1000);
}

/** Reads a line with a voice of this device; says nothing where there is none. */
export function speak(text: string) {
  const speech = window.speechSynthesis as SpeechSynthesis | undefined;
  const voice = speech
    ?.getVoices()
    .find((v) => v.localService && v.lang.toLowerCase().startsWith("en"));
  if (speech && voice) {
    const line = new SpeechSynthesisUtterance(text);
    line.voice = voice;
    speech.cancel();
    speech.speak(line);
  }
}
