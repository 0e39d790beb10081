'use client';
import { KIT_LIMITS } from '@/core/kit';
import { NumberField } from '../quantities/NumberField';
import { readWhole } from '../quantities/readWhole';

type Lengths = 'lengthCm' | 'widthCm' | 'acrossCm' | 'floorLengthCm' | 'floorWidthCm';

/** A length that may be measured or not. */
export function LengthField<K extends Lengths>({
  word,
  name,
  of,
  put,
}: {
  word: string;
  name: K;
  of: { readonly [key in K]?: number | null | undefined };
  put: (part: { [key in K]?: number | null }) => void;
}) {
  return (
    <NumberField
      word={word}
      measure="length"
      name={name}
      optional
      value={of[name] ?? null}
      bounds={KIT_LIMITS.lengthCm}
      onChange={(value) => put({ [name]: value } as { [key in K]?: number | null })}
    />
  );
}

/** So many of it. Empty: not said. */
export function CountField({
  word,
  value,
  onChange,
}: {
  word: string;
  value: number | null;
  onChange: (value: number | null) => void;
}) {
  return (
    <NumberField
      word={word}
      name="count"
      places={0}
      optional
      read={readWhole}
      value={value}
      bounds={KIT_LIMITS.count}
      onChange={onChange}
    />
  );
}
