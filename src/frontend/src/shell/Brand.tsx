import { Link } from 'react-router';

/** The product's mark and name; leads to the hangar. Small, it is the mark alone. */
export function Brand({ small = false }: { small?: boolean }) {
  return (
    <Link
      to="/"
      className="target flex items-center gap-2 text-lg font-extrabold tracking-tight"
      aria-label="Zephyros, to the hangar"
    >
      <svg
        viewBox="0 0 30 20"
        className="h-5 w-7"
        fill="none"
        stroke="currentColor"
        strokeWidth="2.2"
        strokeLinecap="round"
        aria-hidden
      >
        <path d="M2 6h15c4 0 5-4.500 1.600-4.500M2 11h22c4.600 0 4.600 6 .6 6M2 16h11" />
      </svg>
      <span className={small ? 'sr-only' : 'max-sm:sr-only'}>Zephyros</span>
    </Link>
  );
}
