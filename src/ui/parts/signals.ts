"use client";

import { deviceSetting } from "./deviceSetting";

/** What is signalled: a value that was taken by itself, a time that is over. */
export type Signal = "taken" | "time-over";

/** On this device; off until somebody turns it on: a buzz in the hand that holds a probe has to be wanted. */
export const SOUND = deviceSetting("sound");
export const VIBRATION = deviceSetting("vibration");
export const ON = "on";

const TONES: Readonly<Record<Signal, { readonly hertz: number; readonly seconds: number }>> = {
  taken: { hertz: 880, seconds: 0.08 },
  "time-over": { hertz: 660, seconds: 0.5 },
};
const BUZZES: Readonly<Record<Signal, readonly number[]>> = {
  taken: [60],
  "time-over": [200, 100, 200],
};
const LOUDNESS = 0.2;

/** Sounds and buzzes as this device is set. */
export function signal(kind: Signal): void {
  if (VIBRATION.read() === ON && "vibrate" in navigator) navigator.vibrate([...BUZZES[kind]]);
  if (SOUND.read() === ON) tone(TONES[kind]);
}

function tone({ hertz, seconds }: { readonly hertz: number; readonly seconds: number }): void {
  try {
    const audio = new AudioContext();
    const [source, volume] = [audio.createOscillator(), audio.createGain()];
    source.frequency.value = hertz;
    volume.gain.value = LOUDNESS;
    source.connect(volume).connect(audio.destination);
    source.onended = () => void audio.close();
    source.start();
    source.stop(audio.currentTime + seconds);
  } catch {
    // No sound here: the page shows the same.
  }
}
