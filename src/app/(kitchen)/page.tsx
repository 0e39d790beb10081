import { HomePage } from '@/features/home/HomePage';
import { endedBakes, runningBakes } from '@/server/bakes';
import { currentContext } from '@/server/context';

export default async function Page() {
  const context = await currentContext();
  const [running, last] = await Promise.all([runningBakes(context), endedBakes(context, { most: 5 })]);
  return (
    <HomePage
      kitchen={context.kitchen.details.name}
      running={running.bakes}
      last={last.bakes}
      setAside={[
        ...(context.kitchen.setAside ? [context.kitchen.setAside] : []),
        ...running.setAside,
        ...last.setAside,
      ]}
      nowMs={context.now().getTime()}
    />
  );
}
