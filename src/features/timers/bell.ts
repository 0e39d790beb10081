import type { Ring } from './bellRinger';

/** Three notes each, told apart by their shape: falling, rising, a peak, a dip, twice the same and up, twice the same and down. Hz. */
const TUNES: readonly (readonly [number, number, number])[] = [
  [784, 659, 523],
  [523, 659, 784],
  [587, 880, 587],
  [880, 587, 880],
  [659, 659, 988],
  [988, 988, 659],
];
const NOTE_S = 0.32;

let audio: AudioContext | null = null;

/** The one sound of this page; null where there is none to be had. Browsers keep it silent until somebody has touched the page. */
function sound(): AudioContext | null {
  try {
    audio ??= new AudioContext();
    return audio;
  } catch {
    return null;
  }
}

/** A touch or a key lets the page be heard from then on. Called once for a page. */
export function listenForTouch(): () => void {
  const touched = () =>
    void sound()
      ?.resume()
      .catch(() => undefined);
  window.addEventListener('pointerdown', touched);
  window.addEventListener('keydown', touched);
  return () => {
    window.removeEventListener('pointerdown', touched);
    window.removeEventListener('keydown', touched);
  };
}

/** Can this page be heard now? */
export function soundState(): 'ready' | 'needsTouch' | 'none' {
  const of = sound();
  if (!of) return 'none';
  return of.state === 'running' ? 'ready' : 'needsTouch';
}

/** A tune when a timer is up; its first note alone, softly, a little before. Made here, so nothing has to be fetched; silent where the browser forbids sound. */
export function ring(call: Ring, tune: number): void {
  const of = sound();
  if (!of) return;
  const notes = TUNES[tune % TUNES.length]!;
  const loud = call === 'due' ? 0.45 : 0.15;
  try {
    void of.resume().catch(() => undefined);
    (call === 'due' ? [...notes, ...notes] : notes.slice(0, 1)).forEach((frequencyHz, at) => {
      const note = of.createOscillator();
      const loudness = of.createGain();
      const startS = of.currentTime + at * (NOTE_S + 0.03) + (at >= 3 ? 0.3 : 0);
      note.frequency.value = frequencyHz;
      loudness.gain.setValueAtTime(0.0001, startS);
      loudness.gain.exponentialRampToValueAtTime(loud, startS + 0.02);
      loudness.gain.exponentialRampToValueAtTime(0.0001, startS + NOTE_S);
      note.connect(loudness).connect(of.destination);
      note.start(startS);
      note.stop(startS + NOTE_S + 0.02);
    });
  } catch {
    // no sound to be had: the screen still says it
  }
}

/** A voice that is on this machine: one that asks another machine for its sounds is not used. */
function ownVoice(): SpeechSynthesisVoice | null {
  if (typeof speechSynthesis === 'undefined') return null;
  const own = speechSynthesis.getVoices().filter(({ localService }) => localService);
  return own.find(({ lang }) => lang.startsWith('en')) ?? null;
}

export const hasVoice = (): boolean => ownVoice() !== null;

/** Says it, after the tune, where the machine has a voice of its own. */
export function speak(text: string): void {
  const voice = ownVoice();
  if (!voice) return;
  const utterance = new SpeechSynthesisUtterance(text);
  utterance.voice = voice;
  utterance.lang = voice.lang;
  setTimeout(() => speechSynthesis.speak(utterance), 2500);
}

/** In the hand, or on the table. */
export function shake(): void {
  if (typeof navigator.vibrate === 'function') navigator.vibrate([300, 150, 300, 150, 300]);
}

/** Whether the browser shows notices of this page beside it: not without a secure connection, and only if somebody allowed it. */
export function noticeState(): 'allowed' | 'ask' | 'refused' | 'insecure' | 'none' {
  if (!window.isSecureContext) return 'insecure';
  if (typeof Notification === 'undefined') return 'none';
  return Notification.permission === 'granted' ? 'allowed' : Notification.permission === 'denied' ? 'refused' : 'ask';
} // prettier-ignore

export function notify(title: string, body: string, key: string, go: () => void): void {
  if (noticeState() !== 'allowed' || document.visibilityState === 'visible') return;
  try {
    const notice = new Notification(title, { body, tag: key, requireInteraction: true });
    notice.onclick = () => {
      window.focus();
      go();
      notice.close();
    };
  } catch {
    // phones show notices by a service worker only
  }
}
