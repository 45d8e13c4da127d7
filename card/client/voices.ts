import { element } from './elements.js';
import { kept } from './kept.js';

interface Voices {
  /** The two switches. */
  controls: HTMLElement;
  /** Browsers sound nothing before a finger asked for something. */
  ready: () => void;
  announce: (words: string) => void;
}

const TONE_HZ = 880;
const TONE_S = 0.25;

/** A tone at each step, and its words read aloud where somebody wants them. */
export function startVoices(): Voices {
  let audio: AudioContext | null = null;
  const sound = choice('Sound', kept<boolean>('card.sound'), true);
  const voice = choice('Read aloud', kept<boolean>('card.voice'), false);
  const speaks = 'speechSynthesis' in window;
  return {
    controls: element('span', { className: 'flex w-full gap-4 text-small' }, [
      sound.control,
      ...(speaks ? [voice.control] : []),
    ]),
    ready: () => {
      // A browser without sound brews as well.
      if ('AudioContext' in window) audio ??= new AudioContext();
    },
    announce: (words) => {
      if (sound.isOn() && audio) beep(audio);
      if (voice.isOn() && speaks) speechSynthesis.speak(new SpeechSynthesisUtterance(words));
    },
  };
}

function choice(words: string, memory: ReturnType<typeof kept<boolean>>, usual: boolean) {
  const box = element('input', { type: 'checkbox' });
  box.checked = memory.read() ?? usual;
  box.addEventListener('change', () => memory.write(box.checked));
  const control = element('label', { className: 'flex min-h-6 items-center gap-1.5' }, [box, words]);
  return { control, isOn: () => box.checked };
}

function beep(audio: AudioContext): void {
  const [tone, gain] = [audio.createOscillator(), audio.createGain()];
  tone.frequency.value = TONE_HZ;
  gain.gain.setValueAtTime(0.2, audio.currentTime);
  gain.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + TONE_S);
  tone.connect(gain).connect(audio.destination);
  tone.start();
  tone.stop(audio.currentTime + TONE_S);
}
