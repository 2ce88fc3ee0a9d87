/** Why what stands in a field was refused, below it. */
export function Refused({ refused }: { refused: { id: string; reason: string } | null }) {
  return (
    refused && (
      <span id={refused.id} className="max-w-[24ch] text-[0.84rem] font-semibold text-rust">
        Not saved: {refused.reason}
      </span>
    )
  );
}
