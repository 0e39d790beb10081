'use client';
import { Scale } from 'lucide-react';
import { Button } from '@/ui/Button';
import { words } from '@/wording/screens/instruments/ScaleChoice';
import { useInstruments } from './InstrumentsProvider';
import { useScaleAtHand } from './scaleAtHand';

/** Which of the scales that tell stands beside this device; nothing where there is none. */
export function ScaleChoice() {
  const scales = useInstruments().filter(({ kind }) => kind === 'scale');
  const [scaleId, choose] = useScaleAtHand();
  if (scales.length === 0) return null;
  return (
    <div className="mb-2 flex flex-wrap items-center gap-2" role="group" aria-label={words.scaleThatTells}>
      {scales.map(({ id, name }) => (
        <Button key={id} size="bench" look={id === scaleId ? 'strong' : 'plain'} aria-pressed={id === scaleId} className="min-h-12 px-4 text-lg" onClick={() => choose(id === scaleId ? null : id)}>
          <Scale size={20} aria-hidden />
          {name}
        </Button>
      ))}
    </div>
  );
} // prettier-ignore
