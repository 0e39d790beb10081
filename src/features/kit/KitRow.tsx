'use client';
import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { KIT_LIMITS } from '@/core/kit';
import { Button, IconButton } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { Choice } from '@/ui/Choice';
import { newUuid } from '@/ui/newUuid';
import { useTwice } from '@/ui/useTwice';
import { words } from '@/wording/screens/kit/KitRow';

export const newKitId = (): string => newUuid().slice(0, 13);

export const capital = (word: string): string => word[0]!.toUpperCase() + word.slice(1);

/** A name cell: never empty. */
export function NameCell({
  name,
  label,
  onName,
}: {
  name: string;
  label: string;
  onName: (name: string) => void;
}) {
  return (
    <Cell
      label={label}
      value={name}
      align="left"
      inputMode="text"
      maxLength={KIT_LIMITS.name}
      className="min-w-40 flex-1"
      inputClassName="font-semibold"
      onType={(text) => {
        if (text.trim() === '') return words.giveItAName;
        onName(text.trim());
        return null;
      }}
      restore={() => onName(name)}
    />
  );
}

interface KitRowProps<K extends string> {
  name: string;
  kind: K;
  kinds: readonly { readonly value: K; readonly label: string }[];
  onName: (name: string) => void;
  onKind: (kind: K) => void;
  onRemove: () => void;
  children: ReactNode;
}

/** Takes a thing away at the second press: what was measured of it goes with it. */
export function RemoveButton({ name, onRemove }: { name: string; onRemove: () => void }) {
  const twice = useTwice();
  const press = () => {
    if (twice.press()) onRemove();
  };
  return twice.asked ? (
    <Button look="alarm" onClick={press}>
      {words.yesRemove(name)}
    </Button>
  ) : (
    <IconButton label={words.remove(name)} onClick={press}>
      <X size={15} aria-hidden />
    </IconButton>
  );
}

/** One thing of the kit: name, kind, measures. */
export function KitRow<K extends string>({
  name,
  kind,
  kinds,
  onName,
  onKind,
  onRemove,
  children,
}: KitRowProps<K>) {
  return (
    <div role="group" aria-label={name} className="border-t-2 border-rule py-2">
      <div className="flex flex-wrap items-center gap-2">
        <NameCell name={name} label={words.nameOf(name)} onName={onName} />
        <Choice
          label={words.kindOf(name)}
          value={kind}
          options={kinds}
          onChange={onKind}
          className="border-edge text-sm"
        />
        <RemoveButton name={name} onRemove={onRemove} />
      </div>
      <div className="pl-1.5">{children}</div>
    </div>
  );
}
