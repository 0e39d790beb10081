'use client';
import { Button } from '@/ui/Button';

export default function Broken({ reset }: { error: Error; reset: () => void }) {
  return (
    <div role="alert" className="docket mx-auto mt-10 max-w-xl p-6">
      <h1 className="text-2xl">The kitchen does not answer</h1>
      <p className="mt-2 text-soft">
        The server or its database can’t be reached. Nothing that was saved is lost. Look whether ./crumb
        start is still running, then try again.
      </p>
      <Button look="strong" className="mt-5" onClick={reset}>
        Try again
      </Button>
    </div>
  );
}
