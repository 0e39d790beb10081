'use client';
import { useState } from 'react';
import { newUuid } from '@/ui/newUuid';
import { useKitchenRouter, useKitchen } from '../kitchen/KitchenProvider';
import { ask } from '../asking/ask';
import type { FormulaSheet, LoadedFormula } from './useFormulaSheet';
import { words } from '@/wording/screens/formula/useFormulaActions';

/** What is done with a formula as a whole, and what went wrong with the last of it. */
export function useFormulaActions(loaded: LoadedFormula, sheet: FormulaSheet) {
  const router = useKitchenRouter();
  const kitchen = useKitchen();
  const [archived, setArchived] = useState(loaded.archivedAtMs !== null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const copy = async (body: object) => {
    const answer = await ask<{ id: string }>(kitchen.api('/formulas'), { requestId: newUuid(), ...body });
    if (answer.kind === 'ok') router.push(`/formulas/${answer.value.id}`);
    else setTrouble(words.theCopyCouldNotBe);
  };
  const archive = async (away: boolean) => {
    const answer = await ask(kitchen.api(`/formulas/${loaded.id}/archive`), { archived: away });
    if (answer.kind === 'ok') setArchived(away);
    else setTrouble(words.thatDidNotReachThe);
  };
  const toStory = async () => {
    // what is on the sheet belongs into its story; what can't be saved is shown beside the name, and the story goes without it
    await sheet.saved();
    router.push(`/formulas/${loaded.id}/story`);
  };
  const toPage = async (path: string) => {
    // what is planned is planned from what is saved, so what is on the sheet has to be saved first
    if (await sheet.saved()) router.push(path);
    else setTrouble(words.theFormulaIsNot);
  };
  const toBatch = () => toPage(`/formulas/${loaded.id}/batch`);
  const toDay = () => toPage(`/day?add=${loaded.id}`);
  const toPractice = () => toPage(`/practice/${loaded.id}`);
  return { archived, trouble, copy, archive, toStory, toBatch, toDay, toPractice };
}
