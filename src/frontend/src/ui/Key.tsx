/** A key of the keyboard, as it is printed beside what it does. */
export function Key({ children }: { children: string }) {
  return (
    <kbd className="rounded border border-b-2 border-current/40 px-1 font-mono text-[0.75rem] leading-4 opacity-90">
      {children}
    </kbd>
  );
}
