'use client';
import { OWN_TOOLS, SHARED_LIMITS, type Shared } from '@/core/day/shared';
import { ALLERGENS, type Allergen } from '@/core/ingredients';
import { ALLERGEN_WORD } from '@/wording/allergens';
import { words } from '@/wording/screens/day/SharedKitchen';
import { Tick } from '../eaters/AllergenTicks';
import { NumberField } from '../quantities/NumberField';
import { HoursList } from './HoursList';

/** What bread may be worked without before it is worked with it: what people must not eat, wheat apart. */
const APART: readonly Allergen[] = ALLERGENS.filter((each) => each !== 'wheat' && each !== 'psylliumDust');

const with_ = <T,>(all: readonly T[], each: T, on: boolean): T[] =>
  on ? [...all, each] : all.filter((other) => other !== each);

/** A kitchen that is shared with wheat, or with what somebody must not eat: the day keeps them apart. */
export function SharedKitchen({ shared, onChange }: { shared: Shared; onChange: (shared: Shared) => void }) {
  const put = (part: Partial<Shared>) => onChange({ ...shared, ...part });
  return (
    <section className="mt-5 border-t border-edge pt-3" aria-label={words.title}>
      <h2 className="text-lg">{words.title}</h2>
      <HoursList title={words.wheat} hint={words.wheatHint} newName={words.newWheat} all={shared.wheat.map((each) => ({ ...each, people: null }))}
        onChange={(all) => put({ wheat: all.map(({ people: _, ...each }) => each) })} />
      {shared.wheat.length > 0 && (
        <div className="mt-2">
          <NumberField word={words.settles} unit={words.min} places={0} name="settleMin" value={shared.settleMin} bounds={SHARED_LIMITS.settleMin} onChange={(settleMin) => settleMin !== null && Number.isInteger(settleMin) && put({ settleMin })} />
          <fieldset className="mt-2">
            <legend className="text-sm text-soft">{words.own}</legend>
            <div className="flex flex-wrap gap-x-4">
              {OWN_TOOLS.map((each) => <Tick key={each} on={shared.own.includes(each)} onTick={(on) => put({ own: with_(shared.own, each, on) })}>{words.tool[each]}</Tick>)}
            </div>
          </fieldset>
        </div>
      )}
      {(shared.wheat.length > 0 || shared.apart.length > 0) && (
        <NumberField word={words.cleans} unit={words.min} places={0} name="cleanMin" value={shared.cleanMin} bounds={SHARED_LIMITS.cleanMin} onChange={(cleanMin) => cleanMin !== null && Number.isInteger(cleanMin) && put({ cleanMin })} />
      )}
      <fieldset className="mt-3">
        <legend className="text-base font-semibold">{words.apart}</legend>
        <p className="text-sm text-soft">{words.apartHint}</p>
        <div className="flex flex-wrap gap-x-4">
          {APART.map((each) => <Tick key={each} on={shared.apart.includes(each)} onTick={(on) => put({ apart: with_(shared.apart, each, on) })}>{ALLERGEN_WORD[each]}</Tick>)}
        </div>
      </fieldset>
    </section>
  );
} // prettier-ignore
