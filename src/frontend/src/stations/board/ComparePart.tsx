import { picklist } from 'valibot';
import { ChoiceField } from '../../ui/ChoiceField';
import { useKept } from '../../ui/useKept';
import { PlanComparison } from './PlanComparison';
import { StationComparison } from './StationComparison';

const CRAFT = [
  { value: 'bench', label: 'the simulated craft, now' },
  { value: 'own', label: 'my own craft, measured' },
] as const;

/** Every channel at three places: on the simulated bench as it stands, or measured on a real craft. */
export function ComparePart({ id }: { id: string }) {
  const [craft, setCraft] = useKept<'bench' | 'own'>('zephyros.compare', picklist(['bench', 'own']), 'bench');
  return (
    <>
      <div className="mb-3">
        <ChoiceField label="Compare" value={craft} options={CRAFT} onChange={setCraft} />
      </div>
      {craft === 'bench' ? <StationComparison id={id} /> : <PlanComparison id={id} />}
    </>
  );
}
