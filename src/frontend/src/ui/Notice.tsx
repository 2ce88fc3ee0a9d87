import { TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';

/** Says that something failed, and what to do. */
export function Notice({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <div role="alert" className="flex max-w-2xl gap-3 rounded border border-rust bg-rust-wash p-3">
      <TriangleAlert className="mt-0.5 shrink-0 text-rust" size={20} aria-hidden />
      <div>
        <p className="font-bold">{title}</p>
        {children}
      </div>
    </div>
  );
}
