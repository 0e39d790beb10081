/** Why a form or a field of it cannot be taken, read out when it appears. */
export function Reason({ id, children }: { id?: string; children: string | undefined }) {
  if (!children) return null;
  return (
    <p id={id} role="alert" className="mt-2 text-alarm">
      {children}
    </p>
  );
}
