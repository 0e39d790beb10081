import { HomePage } from '@/features/home/HomePage';
import { bakesUnderWay, logbook, stockLeft } from '@/server/bakes';
import { withoutEnded } from '@/core/day/agenda';
import { loadDay, loadLife } from '@/server/day';
import { feedsOn, loadStarters } from '@/server/starters';
import { loadKit } from '@/server/kit';
import { kitchenOf, type KitchenParams } from './kitchenOf';

/** More than a kitchen has hands for; whatever is beyond them is a link away. */
const RUNNING = 8;
const LAST = 5;

export default async function Page({ params }: KitchenParams) {
  const context = await kitchenOf(params);
  const [running, last, stock, day, { kit }, life, starters] = await Promise.all([
    bakesUnderWay(context, { after: null, most: RUNNING }),
    logbook(context, { formulaId: null, words: [], again: null, order: 'newest', after: null, most: LAST }),
    stockLeft(context),
    loadDay(context),
    loadKit(context),
    loadLife(context),
    loadStarters(context),
  ]);
  return (
    <HomePage
      kitchen={context.kitchen.details.name}
      demo={context.kitchen.demo}
      running={running.bakes}
      more={running.next !== null}
      last={last.lines}
      stock={stock}
      setAside={[
        ...(context.kitchen.setAside ? [context.kitchen.setAside] : []),
        ...running.setAside,
        ...last.setAside,
        ...[day, life, starters].flatMap(({ setAside }) => setAside ?? []),
      ]}
      // of more bakes than are shown here nobody knows which have ended
      day={
        running.next
          ? day.value
          : withoutEnded(day.value, (id) => !running.bakes.some((bake) => bake.id === id))
      }
      feeds={feedsOn(context, starters.value, life.value, day.value)}
      ovens={kit.ovens.map(({ id, name }) => ({ id, name }))}
      nowMs={context.now().getTime()}
    />
  );
}
