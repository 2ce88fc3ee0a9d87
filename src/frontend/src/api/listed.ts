interface Named {
  label: string;
  alias?: string | null;
}

/** The pilot's own name for something, or else the one that it has. */
export const nameOf = ({ label, alias }: Named): string => (alias ? alias : label);

/** The members of a collection by name, as people look for them. A setup itself keeps its collections in no order. */
export function listed<T extends Named>(items: Record<string, T> | undefined): [string, T][] {
  return Object.entries(items ?? {}).sort(([, a], [, b]) =>
    nameOf(a).localeCompare(nameOf(b), undefined, { numeric: true }),
  );
}
