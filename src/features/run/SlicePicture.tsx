'use client';
import { memo, useMemo } from 'react';
import { crustRgb, drawSlice, type SliceFigures } from '@/core/slice';

const path = (points: readonly (readonly [number, number])[]): string =>
  `${points.map(([x, y], index) => `${index === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('')}Z`;

interface SlicePictureProps {
  slice: SliceFigures;
  /** What somebody who can't see it is told. */
  label: string;
  /** Another for a second picture on the page: what is hidden lends no colours to what is seen. */
  name?: string;
  mostPores?: number;
  className?: string;
}

/** A section of the baked piece, drawn from its figures: the same figures, the same drawing. */
export const SlicePicture = memo(function SlicePicture({
  slice,
  label,
  mostPores,
  className,
  name = 'slice',
}: SlicePictureProps) {
  const drawing = useMemo(() => drawSlice(slice, mostPores), [slice, mostPores]);
  const margin = 1.5;
  const id = `${name}-crust-${Math.round(slice.brownTop * 100)}-${Math.round(slice.brownBase * 100)}`;
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`${-margin} ${-margin} ${drawing.widthMm + 2 * margin} ${drawing.heightMm + 2 * margin}`}
      className={className}
      data-testid={name}
    >
      <linearGradient id={id} x1="0" y1="0" x2="0" y2="1">
        <stop offset="0.25" stopColor={crustRgb(slice.brownTop)} />
        <stop offset="0.8" stopColor={crustRgb(slice.brownBase)} />
      </linearGradient>
      <path d={path(drawing.outline)} fill={`url(#${id})`} />
      <path d={path(drawing.crumb)} fill={crustRgb(0.05)} />
      {drawing.streakFromMm !== null && (
        <clipPath id={`${id}-streak`}>
          <rect x={0} y={drawing.streakFromMm} width={drawing.widthMm} height={drawing.heightMm} />
        </clipPath>
      )}
      {drawing.streakFromMm !== null && (
        <path d={path(drawing.crumb)} fill="#b99f74" clipPath={`url(#${id}-streak)`} />
      )}
      <g fill="#8d7448" fillOpacity="0.55">
        {drawing.pores.map(({ x, y, rx, ry, turn }) => (
          <ellipse
            key={`${x} ${y}`}
            cx={x.toFixed(2)}
            cy={y.toFixed(2)}
            rx={rx.toFixed(2)}
            ry={ry.toFixed(2)}
            transform={`rotate(${turn} ${x.toFixed(1)} ${y.toFixed(1)})`}
          />
        ))}
      </g>
    </svg>
  );
});
