/** What of a channel can be edited: its names and number, its output stage, one of its steps. */
export type Piece = 'names' | 'output' | `step:${string}`;

/** The id of the step that a piece is; empty for another piece. */
export const stepOf = (piece: Piece): string => (piece.startsWith('step:') ? piece.slice('step:'.length) : '');

/** The id of what opens a piece of a channel. */
export const pieceId = (channel: string, piece: Piece): string => `piece-${channel}-${piece}`;
