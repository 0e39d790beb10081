'use client';
import { Button } from '@/ui/Button';
import { words } from '@/wording/screens/pages';

export default function Broken({ reset }: { error: Error; reset: () => void }) {
  return (
    <div role="alert" className="docket mx-auto mt-10 max-w-xl p-6">
      <h1 className="text-2xl">{words.theKitchenDoesNotAnswer}</h1>
      <p className="mt-2 text-soft">{words.theServerOrItsDatabase}</p>
      <Button look="strong" className="mt-5" onClick={reset}>
        {words.tryAgain}
      </Button>
    </div>
  );
}
