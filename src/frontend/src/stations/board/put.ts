/** Changes a setting of the board: what the change is called, where the setting stands below the board, and its new value. */
export type Put = (title: string, path: string[], value: unknown) => void;
