'use client';
import { useController, type FieldValues, type Path, type PathValue } from 'react-hook-form';
import { NumberField } from '../quantities/NumberField';

type Shown = Omit<Parameters<typeof NumberField>[0], 'value' | 'onChange' | 'name'>;

interface FormNumberProps<V extends FieldValues, N extends Path<V>> extends Shown {
  name: N;
  /** The figure as it is shown, and what a new one makes of the form's value, where the two differ. */
  from?: (value: PathValue<V, N>) => number | null;
  to?: (figure: number | null) => PathValue<V, N>;
}

/** {@link NumberField} as a field of a form. */
export function FormNumber<V extends FieldValues, N extends Path<V> = Path<V>>({
  name,
  from = (value: number | null) => value,
  to = (figure) => figure as PathValue<V, N>,
  ...shown
}: FormNumberProps<V, N>) {
  const { field } = useController<V, N>({ name });
  return (
    <NumberField {...shown} value={from(field.value)} onChange={(figure) => field.onChange(to(figure))} />
  );
}
