import { useEffect, useRef } from 'react';
import { boolean } from 'valibot';
import type { LogEntry } from '../api/types';
import { useKept } from '../ui/useKept';
import { useBenchState } from './BenchProvider';

/** True where the browser has a voice. */
export const HAS_VOICE = 'speechSynthesis' in window;

/** How loud a tone is, of 1: about as loud as the voice. */
const LOUDNESS = 0.15;

/** Speaks what the transmitter announces, with the browser's voice, while it is on: a tone before it, and an alarm ends what is being said.
 *  What the browser has not said yet gives way to what is newer: the bench has its own order, and does not wait for a slow voice. */
export function useVoice(): [on: boolean, turn: (on: boolean) => void] {
  const [on, turn] = useKept('zephyros-voice', boolean(), false, localStorage);
  const said = useBenchState((s) => (s.back === null ? s.log.filter((e) => e.kind === 'said') : []));
  const newest = said.at(-1)?.number ?? 0;
  // What was said before anybody listened is over.
  const heard = useRef<number | null>(null);
  const sounds = useRef<AudioContext | null>(null);
  const waiting = useRef<number>(undefined);
  useEffect(() => {
    if (!on || !HAS_VOICE) {
      heard.current = null;
      return;
    }
    const before = heard.current;
    heard.current = Math.max(newest, before ?? 0);
    if (before === null) return;
    for (const entry of said.filter((e) => e.number > before)) {
      window.clearTimeout(waiting.current);
      if (entry.cutsIn || speechSynthesis.pending) speechSynthesis.cancel();
      if (entry.tone) sound((sounds.current ??= new AudioContext()), entry.tone);
      const words = new SpeechSynthesisUtterance(entry.text);
      words.lang = 'en';
      if (entry.tone) waiting.current = window.setTimeout(() => speechSynthesis.speak(words), entry.tone.length);
      else speechSynthesis.speak(words);
    }
  }, [on, newest, said]);
  useEffect(
    () => () => {
      window.clearTimeout(waiting.current);
      if (HAS_VOICE) speechSynthesis.cancel();
      void sounds.current?.close();
    },
    [],
  );
  return [on, turn];
}

/** Sounds a tone by the Web Audio standard. */
function sound(context: AudioContext, { from, to, length }: NonNullable<LogEntry['tone']>): void {
  const [begin, end] = [context.currentTime, context.currentTime + length / 1000];
  const [tone, loudness] = [context.createOscillator(), context.createGain()];
  tone.frequency.setValueAtTime(from, begin);
  tone.frequency.linearRampToValueAtTime(to, end);
  loudness.gain.value = LOUDNESS;
  tone.connect(loudness).connect(context.destination);
  tone.start(begin);
  tone.stop(end);
}
