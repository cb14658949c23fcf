/** Saying things aloud, where the browser can; elsewhere nothing happens. */
function voice(): SpeechSynthesis | null {
  const found: SpeechSynthesis | undefined = window.speechSynthesis;
  return found ?? null;
}

export function say(text: string): void {
  const speaking = voice();
  if (!speaking) return;
  speaking.cancel();
  const words = new SpeechSynthesisUtterance(text);
  words.lang = 'en';
  words.rate = 0.95;
  speaking.speak(words);
}

export function hush(): void {
  voice()?.cancel();
}

/** Three short tones and, where there is one, the buzz of a phone: a wait is over. */
export function ring(): void {
  if ('vibrate' in navigator) navigator.vibrate([300, 150, 300]);
  try {
    const audio = new AudioContext();
    for (const at of [0, 0.35, 0.7]) {
      const tone = audio.createOscillator();
      const volume = audio.createGain();
      tone.frequency.value = 880;
      volume.gain.setValueAtTime(0.25, audio.currentTime + at);
      volume.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + at + 0.28);
      tone.connect(volume).connect(audio.destination);
      tone.start(audio.currentTime + at);
      tone.stop(audio.currentTime + at + 0.3);
    }
    setTimeout(() => void audio.close(), 1500);
  } catch {
    // No sound to be had: the words on the screen tell it.
  }
}
