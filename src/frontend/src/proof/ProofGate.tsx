import clsx from 'clsx';
import { NavLink } from 'react-router';
import { isOpen, verdictOf } from './states';
import { useProof } from './useProof';

/** The verdict at the end of the path, and the way to the proof. */
export function ProofGate({ setup }: { setup: string }) {
  const { proof } = useProof(setup);
  const verdict = proof && verdictOf(proof.promises, proof.running);
  const open = proof?.promises.some(isOpen) ?? false;
  return (
    <NavLink
      to={`/craft/${setup}/proof`}
      data-testid="verdict"
      className={({ isActive }) =>
        clsx('block h-full border-line py-2 md:border-l', isActive ? 'bg-sea-wash' : 'hover:bg-paper')
      }
    >
      <h2 className="flex h-6 items-center px-3 text-[0.93rem] font-bold">Proof</h2>
      <div className="mt-1.5 h-[5px] max-md:hidden" />
      <p
        className={clsx(
          'px-3 pt-1.5 text-[2.05rem] leading-none font-extrabold tracking-tight max-md:text-[1.5rem]',
          verdict && !proof.running && (open ? 'text-rust' : 'text-moss'),
        )}
      >
        {verdict?.figure ?? '–'}
        <small className="ml-1 text-[0.45em] font-semibold tracking-normal">kept</small>
      </p>
      <p className="min-h-9 px-3 pt-1 text-[0.8rem] leading-tight text-soft max-md:text-[0.73rem]">{verdict?.note}</p>
    </NavLink>
  );
}
