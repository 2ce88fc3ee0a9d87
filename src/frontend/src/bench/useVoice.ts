import { useEffect, useRef } from 'react';
import { boolean } from 'valibot';
import { useKept } from '../ui/useKept';
import { useBenchState } from './BenchProvider';

/** True where the browser has a voice. */
export const HAS_VOICE = 'speechSynthesis' in window;

/** Speaks what the transmitter announces, with the browser's voice, while it is on; what is still to be spoken gives way to what is newer. */
export function useVoice(): [on: boolean, turn: (on: boolean) => void] {
  const [on, turn] = useKept('zephyros-voice', boolean(), false, localStorage);
  const said = useBenchState((s) => (s.back === null ? s.log.filter((e) => e.kind === 'said') : []));
  const newest = said.at(-1)?.number ?? 0;
  // What was said before anybody listened is over.
  const heard = useRef<number | null>(null);
  useEffect(() => {
    if (!on || !HAS_VOICE) {
      heard.current = null;
      return;
    }
    const before = heard.current;
    heard.current = Math.max(newest, before ?? 0);
    if (before === null) return;
    for (const { text } of said.filter((e) => e.number > before)) {
      if (speechSynthesis.pending) speechSynthesis.cancel();
      const words = new SpeechSynthesisUtterance(text);
      words.lang = 'en';
      speechSynthesis.speak(words);
    }
  }, [on, newest, said]);
  useEffect(() => () => (HAS_VOICE ? speechSynthesis.cancel() : undefined), []);
  return [on, turn];
}
