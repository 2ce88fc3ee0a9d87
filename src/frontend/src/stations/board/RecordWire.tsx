import { FileUp } from 'lucide-react';
import { Button } from '../../ui/Button';
import { FileButton } from '../../ui/FileButton';

interface Props {
  /** True while one is read. */
  reads: boolean;
  /** Takes the file; null for a recording of the simulated receiver. */
  onChoose: (file: File | null) => void;
}

/** How the wire is recorded for a measurement, and the choice of a recording. */
export function RecordWire({ reads, onChoose }: Props) {
  return (
    <>
      <p className="my-1 max-w-[75ch] text-soft">
        Record the receiver&apos;s wire while you move, and hold each for two seconds: throttle up, down; roll right,
        left, let go; pitch forward, back, let go; yaw right, left, let go; then each switch through its positions, the
        start position last.
      </p>
      <div className="flex flex-wrap gap-2">
        <FileButton
          label="Recording of the measurement"
          icon={FileUp}
          disabled={reads}
          onFile={(file) => onChoose(file)}
        >
          {reads ? 'Reading…' : 'Choose a recording'}
        </FileButton>
        <Button disabled={reads} onClick={() => onChoose(null)}>
          Record the simulated receiver
        </Button>
      </div>
    </>
  );
}
