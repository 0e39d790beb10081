import type { Role } from '@/core/ingredients';

/** The hue of what a thing is in the dough. Never the only sign: its word stands near, or is read out. */
export const roleColor = (role: Role): string => `var(--is-${role})`;

export function RoleDot({ role }: { role: Role }) {
  return (
    <span
      aria-hidden
      className="inline-block size-3 shrink-0 rounded-[3px]"
      style={{ background: roleColor(role) }}
    />
  );
}
