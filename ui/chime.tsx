"use client";

import { useEffect, useRef, useState } from "react";
import { Switch } from "./switch";

/** Two tones, one after the other, in hertz and seconds: heard through a class at work, and soon over. */
const tones = [
  { pitch: 660, at: 0, lasts: 0.35 },
  { pitch: 880, at: 0.3, lasts: 0.6 },
];

function ring(audio: AudioContext): void {
  for (const { pitch, at, lasts } of tones) {
    const from = audio.currentTime + at;
    const [tone, loud] = [audio.createOscillator(), audio.createGain()];
    tone.frequency.value = pitch;
    loud.gain.setValueAtTime(0.4, from);
    loud.gain.exponentialRampToValueAtTime(0.001, from + lasts);
    tone.connect(loud).connect(audio.destination);
    tone.start(from);
    tone.stop(from + lasts);
  }
}

/**
 * A switch for the sound of a clock on this device, off until somebody turns it on: a browser makes no sound before it
 * is pressed. It sounds whenever `moment` becomes another, but for an empty one.
 */
export function Chime({ moment, label }: { moment: string; label: string }) {
  const audio = useRef<AudioContext | null>(null);
  const [on, setOn] = useState(false);
  const last = useRef(moment);
  useEffect(() => {
    if (moment !== last.current && moment && on && audio.current) ring(audio.current);
    last.current = moment;
  }, [moment, on]);
  useEffect(() => () => void audio.current?.close(), []);
  const turn = (to: boolean) => {
    setOn(to);
    if (!to) return;
    audio.current ??= new AudioContext();
    void audio.current.resume();
    ring(audio.current);
  };
  return <Switch on={on} turn={turn} label={label} />;
}
