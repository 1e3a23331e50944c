let audio: AudioContext | undefined;

/** One short note at a pitch, Hz, so many seconds from now. */
function note(pitch: number, after: number, length = 0.2): void {
  audio ??= new AudioContext();
  const tone = audio.createOscillator();
  const volume = audio.createGain();
  const at = audio.currentTime + after;
  tone.frequency.value = pitch;
  volume.gain.setValueAtTime(0.2, at);
  volume.gain.exponentialRampToValueAtTime(0.001, at + length);
  tone.connect(volume).connect(audio.destination);
  tone.start(at);
  tone.stop(at + length);
}

/** Two short notes. Silent where the browser allows no sound before a touch. */
export function beep(): void {
  note(660, 0);
  note(880, 0.22);
}

/** So many quick ticks: a weighing comes near its target. */
export function ticks(count: number): void {
  for (let i = 0; i < count; i++) note(990, i * 0.12, 0.07);
}

/** Says words in the browser's own voice, and stops what it was saying. */
export function speak(words: string): void {
  if (typeof speechSynthesis === 'undefined') return;
  speechSynthesis.cancel();
  speechSynthesis.speak(new SpeechSynthesisUtterance(words));
}
