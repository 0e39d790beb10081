/** Three notes when a timer is up. Made here, so nothing has to be fetched; silent where the browser forbids sound. */
export function ring(): void {
  try {
    const audio = new AudioContext();
    [0, 0.35, 0.7].forEach((delayS, index) => {
      const note = audio.createOscillator();
      const loudness = audio.createGain();
      const startS = audio.currentTime + delayS;
      note.frequency.value = [784, 659, 523][index] ?? 523;
      loudness.gain.setValueAtTime(0.0001, startS);
      loudness.gain.exponentialRampToValueAtTime(0.4, startS + 0.02);
      loudness.gain.exponentialRampToValueAtTime(0.0001, startS + 0.32);
      note.connect(loudness).connect(audio.destination);
      note.start(startS);
      note.stop(startS + 0.34);
    });
    setTimeout(() => void audio.close(), 1500);
  } catch {
    // no sound to be had: the screen still says it
  }
}
