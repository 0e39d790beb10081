'use client';
import { useEffect, useState } from 'react';
import type { Allergen, GlutenRisk, Ingredient } from '@/core/ingredients';
import { ownThing } from '@/core/ingredients/ownThing';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Dialog } from '@/ui/Dialog';
import { newUuid } from '@/ui/newUuid';
import { words } from '@/wording/screens/ownThing/OwnThingDialog';
import { useBook } from '../book/BookProvider';
import { AllergenTicks, Tick } from '../eaters/AllergenTicks';
import { useSaveEntry } from '../larder/useSaveEntry';

/** What something of one's own on a bread is most often like. */
const LIKE = [
  'crushed-tomatoes', 'grated-courgette', 'hard-cheese', 'low-moisture-mozzarella', 'ricotta', 'salami', 'mixed-seeds', 'jam', 'fresh-herbs',
] as const; // prettier-ignore
const NOTHING = '';

interface OwnThingProps {
  /** What was looked for and not found. */
  called: string;
  onPick: (ingredient: Ingredient) => void;
  onClose: () => void;
}

/** A topping or filling of one's own: its name, what it is like, and who must not eat it, which is asked and not assumed. */
export function OwnThingDialog({ called, onPick, onClose }: OwnThingProps) {
  const book = useBook();
  const { save, busy, trouble } = useSaveEntry();
  // made once: pressed twice it is still one thing
  const [id] = useState(() => `own-${newUuid().slice(0, 18)}`);
  const [name, setName] = useState(called);
  const [likeId, setLikeId] = useState<string>(NOTHING);
  const [allergens, setAllergens] = useState<readonly Allergen[]>([]);
  const [none, setNone] = useState(false);
  const [gluten, setGluten] = useState<GlutenRisk>('free');
  const [saved, setSaved] = useState(false);
  const made = saved ? book.get(id) : undefined;
  useEffect(() => {
    if (!made) return undefined;
    // the sheet around this hears of the new book after the dialog does
    const timer = setTimeout(() => onPick(made));
    return () => clearTimeout(timer);
  }, [made, onPick]);
  const missing =
    name.trim() === '' ? words.giveItAName : allergens.length === 0 && !none ? words.askedFor : null;
  const likes = LIKE.flatMap((each) => book.get(each) ?? []);
  const take = async () => {
    const like = book.get(likeId) ?? null;
    const entry = ownThing({ id, name, like, allergens, gluten });
    if (await save({ entry, seen: 0, away: false })) setSaved(true);
  };
  return (
    <Dialog onClose={onClose} title={words.title} hint={words.hint}>
      <label className="block text-sm font-semibold">
        {words.name}
        <input
          value={name}
          maxLength={80}
          autoComplete="off"
          onChange={(event) => setName(event.currentTarget.value)}
          className="mt-0.5 block min-h-10 w-full rounded border border-edge bg-surface px-3 font-normal"
        />
      </label>
      <label className="mt-3 flex flex-wrap items-center gap-2 text-sm font-semibold">
        {words.mostLike}
        <Choice
          label={words.mostLike}
          value={likeId}
          options={[
            { value: NOTHING, label: words.likeNothing },
            ...likes.map((each) => ({ value: each.id, label: each.name })),
          ]}
          onChange={(next) => {
            setLikeId(next);
            const like = book.get(next);
            // what such a thing usually holds is ticked beforehand; it can be unticked
            if (like) setAllergens([...new Set([...allergens, ...like.allergens])]);
            if (like && like.allergens.length > 0) setNone(false);
          }}
          className="w-auto border-edge bg-surface font-normal"
        />
      </label>
      <fieldset className="mt-4">
        <legend className="font-semibold">{words.whatIsInIt}</legend>
        <AllergenTicks
          gluten={gluten}
          onGluten={setGluten}
          allergens={allergens}
          onAllergens={(next) => {
            setNone(false);
            setAllergens(next);
          }}
        >
          <Tick
            on={none}
            onTick={(on) => {
              setNone(on);
              if (on) setAllergens([]);
            }}
          >
            <strong>{words.none}</strong>
          </Tick>
        </AllergenTicks>
      </fieldset>
      {trouble && (
        <p role="alert" className="mt-3 text-sm text-alarm">
          {trouble}
        </p>
      )}
      <Button
        look="strong"
        className="mt-4 min-h-11 px-6"
        disabled={busy || saved || missing !== null}
        onClick={() => void take()}
      >
        {words.saveAndUse}
      </Button>
      {missing && <span className="ml-3 text-sm text-soft">{missing}</span>}
    </Dialog>
  );
}
