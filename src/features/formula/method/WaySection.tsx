'use client';
import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { FORMULA_LIMITS, PUT_BY, type Way } from '@/core/formula';
import { SHAPES, TIN_KINDS } from '@/core/method/heating';
import { IconButton } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { Choice } from '@/ui/Choice';
import { wordProblem } from '@/wording/problems';
import { SHAPE_WORD, TIN_WORD } from '@/wording/run';
import { words } from '@/wording/screens/formula/WaySection';
import { PUT_BY_WORD } from '@/wording/words';
import { usePreferences, useUnits } from '../../preferences/PreferencesProvider';
import { NumberField } from '../../quantities/NumberField';
import { Row } from '../../quantities/Row';
import { readWhole } from '../../quantities/readWhole';
import { useSheetActions } from '../../sheet/SheetContext';

interface WaySectionProps {
  way: Way;
  /** How many pieces it comes to, with what is over. */
  pieces: number;
  children: ReactNode;
}

const NONE = 'none';
const USUAL = 'usual';
/** How long what is put by keeps where nobody says, days: quality, not safety. */
const KEEPS_DAYS = { frozenRaw: 21, frozen: 60, parBaked: 3, kept: 3 } as const;

/** One of the breads a dough parts into: how much of it, made into what, put by or eaten; and its own steps beneath. */
export function WaySection({ way, pieces, children }: WaySectionProps) {
  const { edit, settle, takeBack } = useSheetActions();
  const { preferences } = usePreferences();
  const units = useUnits();
  const { steps: _, ...apart } = way;
  const set = (part: Partial<Omit<Way, 'steps'>>, drop?: 'bakedAs' | 'putBy'): string | null => {
    const next = { ...apart, ...part };
    if (drop) delete next[drop];
    const problem = edit({ type: 'setWay', way: next }, `way:${way.id}`);
    return problem && wordProblem(problem, preferences);
  };
  return (
    <section aria-label={way.name} data-way={way.id} className="mt-4 border-l-2 border-edge pl-2 sm:pl-3">
      <header className="flex flex-wrap items-center gap-x-2 pb-1">
        <Cell
          label={words.nameOf(way.name)}
          value={way.name}
          align="left"
          inputMode="text"
          placeholder={words.nameIt}
          maxLength={FORMULA_LIMITS.wayNameLength}
          className="min-w-24 flex-1"
          inputClassName="font-head text-base font-semibold"
          onType={(name) => set({ name })}
          restore={() => takeBack(`way:${way.id}`)}
          onLeave={settle}
        />
        <span className="text-sm text-soft" data-testid="way-pieces">
          {words.makes(pieces, units.mass(way.amount.pieceMassG))}
        </span>
        <IconButton label={words.remove(way.name)} onClick={() => edit({ type: 'removeWay', wayId: way.id })}>
          <Trash2 size={15} aria-hidden />
        </IconButton>
      </header>
      <div className="grid gap-x-8 pb-1 text-sm sm:grid-cols-2">
        <WayAmount way={way} pieces={pieces} set={set} />
        <WayMade way={way} set={set} />
      </div>
      {children}
    </section>
  );
}

type SetWay = (part: Partial<Omit<Way, 'steps'>>, drop?: 'bakedAs' | 'putBy') => string | null;

/** How much of the dough: so many pieces, a share, or what is left. */
function WayAmount({ way, pieces, set }: Pick<WaySectionProps, 'way' | 'pieces'> & { set: SetWay }) {
  const { amount } = way;
  return (
    <div>
      <Row word={words.howMuch}>
        <Choice
          label={words.howMuchOf(way.name)}
          value={amount.kind}
          options={[
            { value: 'pieces', label: words.piecesOf },
            { value: 'share', label: words.aShare },
            { value: 'rest', label: words.theRest },
          ]}
          onChange={(kind) => {
            const { pieceMassG } = amount;
            if (kind === 'pieces') set({ amount: { kind, pieces: Math.max(1, pieces), pieceMassG } });
            else if (kind === 'share') set({ amount: { kind, share: 0.5, pieceMassG } });
            else set({ amount: { kind, pieceMassG } });
          }}
          className="border-edge"
        />
      </Row>
      {amount.kind === 'pieces' && (
        <NumberField
          word={words.pieces}
          name="pieces"
          places={0}
          value={amount.pieces}
          bounds={FORMULA_LIMITS.pieces}
          read={readWhole}
          onChange={(count) => count !== null && set({ amount: { ...amount, pieces: count } })}
        />
      )}
      {amount.kind === 'share' && (
        <NumberField
          word={words.share}
          unit="%"
          name="share"
          places={0}
          value={100 * amount.share}
          bounds={{ min: 100 * FORMULA_LIMITS.wayShare.min, max: 100 * FORMULA_LIMITS.wayShare.max }}
          onChange={(percent) => percent !== null && set({ amount: { ...amount, share: percent / 100 } })}
        />
      )}
      <NumberField
        word={words.each}
        measure="mass"
        name="pieceMassG"
        value={amount.pieceMassG}
        bounds={FORMULA_LIMITS.pieceMassG}
        onChange={(pieceMassG) => pieceMassG !== null && set({ amount: { ...amount, pieceMassG } })}
      />
    </div>
  );
}

/** What it is made into, and what becomes of it. */
function WayMade({ way, set }: Pick<WaySectionProps, 'way'> & { set: SetWay }) {
  const { bakedAs, putBy } = way;
  return (
    <div>
      <Row word={words.madeInto}>
        <Choice
          label={words.shapeOf(way.name)}
          value={bakedAs?.shape ?? USUAL}
          options={[
            { value: USUAL, label: words.asUsual },
            ...SHAPES.map((value) => ({ value, label: SHAPE_WORD[value] })),
          ]}
          onChange={(shape) =>
            shape === USUAL
              ? set({}, 'bakedAs')
              : set({
                  bakedAs: {
                    shape,
                    lengthCm: null,
                    widthCm: null,
                    tin: shape === 'tin' ? (bakedAs?.tin ?? 'dark') : null,
                    perLoad: bakedAs?.perLoad ?? null,
                  },
                })
          }
          className={bakedAs ? 'border-edge' : 'border-edge text-soft italic'}
        />
      </Row>
      {bakedAs?.shape === 'tin' && (
        <Row word={words.tin}>
          <Choice
            label={words.tinOf(way.name)}
            value={bakedAs.tin ?? 'dark'}
            options={TIN_KINDS.map((value) => ({ value, label: TIN_WORD[value] }))}
            onChange={(tin) => set({ bakedAs: { ...bakedAs, tin } })}
            className="border-edge"
          />
        </Row>
      )}
      <Row word={words.then}>
        <Choice<(typeof PUT_BY)[number] | typeof NONE>
          label={words.putByOf(way.name)}
          value={putBy?.as ?? NONE}
          options={[
            { value: NONE, label: words.eaten },
            ...PUT_BY.map((value) => ({ value, label: PUT_BY_WORD[value] })),
          ]}
          onChange={(as) =>
            as === NONE ? set({}, 'putBy') : set({ putBy: { as, days: putBy?.days ?? KEEPS_DAYS[as] } })
          }
          className="border-edge"
        />
      </Row>
      {putBy && (
        <NumberField
          word={words.within}
          unit={words.days}
          name="days"
          places={0}
          value={putBy.days}
          bounds={FORMULA_LIMITS.keepsDays}
          read={readWhole}
          onChange={(days) => days !== null && set({ putBy: { ...putBy, days } })}
        />
      )}
    </div>
  );
}
