'use client';
import { useController } from 'react-hook-form';
import { FAMILIES, ROLES } from '@/core/ingredients';
import { Choice } from '@/ui/Choice';
import { FAMILY_WORD, ROLE_WORD } from '@/wording/words';
import type { EntryValues } from './entryValues';
import { TextField } from './TextField';
import { words } from '@/wording/screens/larder/EntryNames';

/** What an ingredient of one's own is called, and what it is in the dough. */
export function EntryNames() {
  const family = useController<EntryValues, 'figures.family'>({ name: 'figures.family' }).field;
  const roles = useController<EntryValues, 'figures.roles'>({ name: 'figures.roles' }).field;
  return (
    <>
      <TextField<EntryValues> name="figures.name" word={words.name} />
      <TextField<EntryValues> name="also" word={words.alsoCalled} hint={words.separatedByCommas} />
      <div className="mt-2 flex flex-wrap gap-2 text-sm">
        <Choice
          label={words.family}
          value={family.value}
          options={FAMILIES.map((value) => ({ value, label: FAMILY_WORD[value] }))}
          onChange={family.onChange}
          className="border-edge bg-surface"
        />
        <Choice
          label={words.whatItIsInThe}
          value={roles.value[0]}
          options={ROLES.map((value) => ({ value, label: ROLE_WORD[value] }))}
          onChange={(role) => roles.onChange([role])}
          className="border-edge bg-surface"
        />
      </div>
    </>
  );
}
