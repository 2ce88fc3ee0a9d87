/** A short tone: both hands are on the transmitter, and the eyes as well. */
export function tone(): void {
  try {
    const audio = new AudioContext();
    const sound = audio.createOscillator();
    sound.frequency.value = 880;
    sound.connect(audio.destination);
    sound.start();
    sound.stop(audio.currentTime + 0.12);
    sound.onended = () => void audio.close();
  } catch {
    // Without sound the page still says it.
  }
}
