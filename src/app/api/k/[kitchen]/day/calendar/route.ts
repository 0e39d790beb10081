import { withoutEnded, type DayCallOut } from '@/core/day/agenda';
import { PROOF_MOST_C } from '@/core/day/proofWarmth';
import { formatMass, formatTemperature } from '@/core/units';
import { loadDay, loadLife } from '@/server/day';
import { feedsOn, loadStarters } from '@/server/starters';
import { dayCalendar } from '@/server/dayCalendar';
import { dayBakes } from '@/server/dayPage';
import { loadKit } from '@/server/kit';
import { words } from '@/wording/screens/day/calls';
import { ALLERGEN_WORD } from '@/wording/allergens';
import { BLOCK_WORD, PUT_BY_WORD } from '@/wording/words';
import { reading } from '../../../../edge';
import { kitchenOf, type KitchenParams } from '../../../../kitchenOf';

/** The day as a calendar file, with alarms. */
export const GET = (_request: Request, { params }: KitchenParams): Promise<Response> =>
  reading(async () => {
    const context = await kitchenOf(params);
    const [{ value: whole }, { kit }, life, starters] = await Promise.all([
      loadDay(context),
      loadKit(context),
      loadLife(context),
      loadStarters(context),
    ]);
    const bakes = await dayBakes(context, whole);
    const day = withoutEnded(whole, (id) => bakes[id]?.endedMs != null);
    const nameOf = (id: string) => day.batches.find((batch) => batch.id === id)?.name ?? '';
    const grams = (massG: number) => formatMass(massG, 'g');
    const feeds = feedsOn(context, starters.value, life.value, day);
    const say = (call: DayCallOut): string => {
      if (call.kind === 'light') {
        const oven = kit.ovens.find(({ id }) => id === call.ovenId)?.name ?? '';
        if (call.setC <= PROOF_MOST_C) return words.warm(oven, formatTemperature(call.setC, 'C'));
        return words.light(oven, formatTemperature(call.setC, 'C'), call.plate);
      }
      if (call.kind === 'ready') {
        const orders = (day.batches.find((batch) => batch.id === call.batchId)?.orders ?? []).map(
          ({ who, pieces }) => words.order(who, pieces),
        );
        return [`${words.ready}: ${nameOf(call.batchId)}`, ...orders].join(', ');
      }
      if (call.kind === 'keep') {
        const { name, feed } = call.due;
        return words.keep(name, grams(feed.keepG), grams(feed.flourG), grams(feed.waterG));
      }
      if (call.kind === 'out')
        return `${words.out(kit.ovens.find(({ id }) => id === call.ovenId)?.name ?? '')}: ${nameOf(call.batchId)}`;
      if (call.kind === 'clean') {
        const { allergens, beforeId } = call.clean;
        if (beforeId === null) return words.cleanAfterWheat(words.own(life.value.shared?.own ?? []));
        return words.cleanBefore(allergens.map((each) => ALLERGEN_WORD[each]).join(', '), nameOf(beforeId));
      }
      if (call.kind === 'soften')
        return `${words.soften(call.lines.map(({ name, massG }) => words.softenLine(grams(massG), name)).join(', '))}: ${nameOf(call.batchId)}`;
      if (call.kind === 'block' && call.takeOut)
        return `${words.takeOut(call.takeOut.pieces, PUT_BY_WORD[call.takeOut.as], call.title || BLOCK_WORD[call.step])}: ${nameOf(call.batchId)}`;
      if (call.kind === 'block' && call.feed) {
        const { name, seedG, flourG, waterG } = call.feed;
        return `${words.feed(name, grams(seedG), grams(flourG), grams(waterG))}: ${nameOf(call.batchId)}`;
      }
      const step = call.title || BLOCK_WORD[call.step];
      return `${call.kind === 'look' ? (call.step === 'feed' ? words.lookRipe : words.look(step)) : step}: ${nameOf(call.batchId)}`;
    };
    const { id, details } = context.kitchen;
    return new Response(dayCalendar(day, feeds, id, context.now().getTime(), { name: details.name, say }), {
      headers: {
        'content-type': 'text/calendar; charset=utf-8',
        'content-disposition': 'attachment; filename="honest-crumb-day.ics"',
      },
    });
  });
