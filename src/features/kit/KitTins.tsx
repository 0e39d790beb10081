'use client';
import { KIT_LIMITS, type Kit } from '@/core/kit';
import { TIN_KINDS } from '@/core/method/heating';
import { NumberField } from '../quantities/NumberField';
import { TIN_WORD } from '@/wording/run';
import { AddButton } from './AddButton';
import { KitCard, type KitProps } from './KitCard';
import { capital, KitRow, newKitId } from './KitRow';
import { CountField } from './SizeField';
import { words } from '@/wording/screens/kit/KitTins';

const MEASURES = [
  ['lengthCm', words.innerLength],
  ['widthCm', words.innerWidth],
  ['heightCm', words.innerHeight],
] as const;
const KINDS = TIN_KINDS.map((value) => ({ value, label: capital(TIN_WORD[value]) }));
const newTin = (): Kit['tins'][number] => ({
  id: newKitId(), name: words.aLoafTin, kind: 'dark', lengthCm: 22, widthCm: 10, heightCm: 8,
}); // prettier-ignore

export function KitTins({ kit: { tins }, change }: KitProps) {
  return (
    <KitCard title={words.tins}>
      {tins.length === 0 && <p className="text-sm text-soft">{words.measureATinInsideOnce}</p>}
      {tins.map((tin) => {
        const put = (part: Partial<typeof tin>) =>
          change({ tins: tins.map((each) => (each.id === tin.id ? { ...each, ...part } : each)) });
        return (
          <KitRow
            key={tin.id}
            name={tin.name}
            kind={tin.kind}
            kinds={KINDS}
            onName={(name) => put({ name })}
            onKind={(kind) => put({ kind })}
            onRemove={() => change({ tins: tins.filter((each) => each.id !== tin.id) })}
          >
            {MEASURES.map(([field, word]) => (
              <NumberField
                key={field}
                word={word}
                measure="length"
                name={field}
                value={tin[field]}
                bounds={KIT_LIMITS.lengthCm}
                onChange={(value) => value !== null && put({ [field]: value })}
              />
            ))}
            <CountField
              word={words.howMany}
              value={tin.count ?? null}
              onChange={(count) => put({ count: count ?? undefined })}
            />
          </KitRow>
        );
      })}
      <AddButton word={words.aTin} count={tins.length} onAdd={() => change({ tins: [...tins, newTin()] })} />
    </KitCard>
  );
}
