let audio: AudioContext | undefined;

/** Two short notes. Silent where the browser allows no sound before a touch. */
export function beep(): void {
  audio ??= new AudioContext();
  for (const [i, pitch] of [660, 880].entries()) {
    const tone = audio.createOscillator();
    const volume = audio.createGain();
    const at = audio.currentTime + i * 0.22;
    tone.frequency.value = pitch;
    volume.gain.setValueAtTime(0.2, at);
    volume.gain.exponentialRampToValueAtTime(0.001, at + 0.2);
    tone.connect(volume).connect(audio.destination);
    tone.start(at);
    tone.stop(at + 0.2);
  }
}
