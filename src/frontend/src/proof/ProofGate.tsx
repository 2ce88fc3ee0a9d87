import clsx from 'clsx';
import { NavLink } from 'react-router';
import { verdictOf } from './states';
import { useProof } from './useProof';

/** The verdict at the end of the path, and the way to the proof. */
export function ProofGate({ setup, folded }: { setup: string; folded: boolean }) {
  const { proof } = useProof(setup);
  const verdict = proof && verdictOf(proof.promises, proof.running);
  const tone = { broken: 'text-rust', open: '', kept: 'text-moss' }[verdict?.tone ?? 'open'];
  return (
    <NavLink
      to={`/craft/${setup}/proof`}
      data-testid="verdict"
      title={verdict?.note}
      className={({ isActive }) =>
        clsx(
          'block h-full border-line md:border-l',
          folded ? 'pt-1.5 pb-2' : 'py-2',
          isActive ? 'bg-sea-wash' : 'hover:bg-paper',
        )
      }
    >
      {folded ? (
        <p className="flex items-baseline gap-1.5 overflow-hidden px-2 pt-1 whitespace-nowrap max-lg:flex-wrap max-md:px-0.5">
          <span role="heading" aria-level={2} className="text-[0.84rem] font-bold">
            Proof
          </span>
          <span className={clsx('ml-auto font-mono text-[0.93rem] font-bold max-lg:ml-0 max-md:text-xs', tone)}>
            {verdict?.figure ?? '–'} <small className="text-[0.8em] font-normal max-md:sr-only">proven</small>
          </span>
          <span className="sr-only">{verdict?.note}</span>
        </p>
      ) : (
        <>
          <h2 className="flex h-6 items-center px-3 text-[0.93rem] font-bold">Proof</h2>
          <div className="mt-1.5 h-[5px] max-md:hidden" />
          <p
            className={clsx(
              'px-3 pt-1.5 text-[2.05rem] leading-none font-extrabold tracking-tight max-md:text-[1.5rem]',
              tone,
            )}
          >
            {verdict?.figure ?? '–'}
            <small className="ml-1 text-[0.45em] font-semibold tracking-normal">proven</small>
          </p>
          <p className="min-h-9 px-3 pt-1 text-[0.8rem] leading-tight text-soft max-md:text-[0.73rem]">
            {verdict?.note}
          </p>
        </>
      )}
    </NavLink>
  );
}
