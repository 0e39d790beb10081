'use client';
import { useEffect, useRef } from 'react';
import type { CrumbFigures } from '@/core/photo';
import type { HolesShown } from '@/workers/crumbProtocol';

interface CrumbOverlayProps {
  readonly outline: CrumbFigures['outline'];
  /** Null: only the edge is known, as it was saved. */
  readonly holes: HolesShown | null;
}

/** Over a picture: the slice's edge, and every hole rimmed. Drawn, not said: the figures beside it say it. */
export function CrumbOverlay({ outline, holes }: CrumbOverlayProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context || !holes) return;
    const { width, height, at } = holes;
    const image = context.createImageData(width, height);
    for (let index = 0; index < at.length; index++) {
      if (!at[index]) continue;
      const isRim = !at[index - 1] || !at[index + 1] || !at[index - width] || !at[index + width];
      image.data.set(isRim ? [255, 214, 64, 255] : [255, 214, 64, 46], 4 * index);
    }
    context.putImageData(image, 0, 0);
  }, [holes]);
  return (
    <>
      {holes && (
        <canvas
          ref={canvas}
          width={holes.width}
          height={holes.height}
          aria-hidden
          className="pointer-events-none absolute inset-0 h-full w-full"
        />
      )}
      <svg
        viewBox="0 0 100 100"
        preserveAspectRatio="none"
        aria-hidden
        className="pointer-events-none absolute inset-0 h-full w-full"
      >
        <polygon
          points={outline.map(({ x, y }) => `${100 * x},${100 * y}`).join(' ')}
          fill="none"
          stroke="#ffd640"
          strokeWidth={2}
          vectorEffect="non-scaling-stroke"
        />
      </svg>
    </>
  );
}
