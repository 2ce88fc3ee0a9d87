import clsx from 'clsx';
import type { ButtonHTMLAttributes } from 'react';
import { pieceId, type Piece } from './pieces';

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  channel: string;
  piece: Piece;
  /** The piece of the channel that is open. */
  open: Piece | null;
  onOpen: (piece: Piece | null) => void;
}

/** A piece of a channel in words; it opens its editor below the chain, and closes it. */
export function PieceButton({ channel, piece, open, onOpen, className, ...rest }: Props) {
  const isOpen = open === piece;
  return (
    <button
      type="button"
      id={pieceId(channel, piece)}
      aria-expanded={isOpen}
      aria-controls={isOpen ? `${pieceId(channel, piece)}-editor` : undefined}
      className={clsx(className, isOpen && 'outline-2 outline-sea')}
      onClick={() => onOpen(isOpen ? null : piece)}
      {...rest}
    />
  );
}
