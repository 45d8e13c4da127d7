let audio: AudioContext | null = null;

/** A short tone. A machine without sound must not stop a brew: what is seen remains. */
export function tone(frequencyHz: number): void {
  if (typeof AudioContext === 'undefined') return;
  if (!(audio instanceof AudioContext)) audio = new AudioContext();
  const oscillator = audio.createOscillator();
  const gain = audio.createGain();
  oscillator.frequency.value = frequencyHz;
  gain.gain.setValueAtTime(0.25, audio.currentTime);
  gain.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 0.25);
  oscillator.connect(gain).connect(audio.destination);
  oscillator.start();
  oscillator.stop(audio.currentTime + 0.26);
}
