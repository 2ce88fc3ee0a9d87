import type { ReactNode } from 'react';

/** The title of a station and one sentence on how to read it. */
export function StationHead({ title, children }: { title: string; children: ReactNode }) {
  return (
    <div className="mb-3">
      <h1 className="text-[1.45rem] leading-tight font-bold tracking-tight">{title}</h1>
      <p className="max-w-[75ch] text-soft">{children}</p>
    </div>
  );
}
