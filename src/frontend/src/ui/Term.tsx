import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { wordsQuery } from '../api/queries';
import { Popup } from './Popup';

interface Props {
  /** The word as the glossary has it. */
  word: string;
  /** How it stands in the sentence, if not as in the glossary. */
  children?: ReactNode;
}

/** A word of the field that explains itself when it is pressed. */
export function Term({ word, children = word }: Props) {
  const { data: words } = useQuery(wordsQuery);
  const found = words?.find((w) => w.word === word);
  // Without its meaning it is a word like any other.
  if (!found) return children;
  return (
    <Popup
      label={`What “${word}” means`}
      trigger={
        <button
          type="button"
          title={found.meaning}
          className="font-[inherit] underline decoration-dotted decoration-1 underline-offset-4 hover:decoration-solid"
        >
          {children}
        </button>
      }
    >
      <p className="max-w-[45ch]">
        <b>{found.word}:</b> {found.meaning}
      </p>
    </Popup>
  );
}
