import type { ButtonHTMLAttributes, Ref } from 'react';
import { cx } from './cx';

/** `now` is the one thing to do next; a screen has at most one of it. `bench` is for knuckles. */
export type ButtonLook = 'plain' | 'strong' | 'now' | 'quiet' | 'alarm';
export type ButtonSize = 'table' | 'bench' | 'wall';

const LOOK: Record<ButtonLook, string> = {
  plain: 'border-edge bg-surface hover:bg-well',
  strong: 'border-ink bg-ink text-surface hover:opacity-90',
  now: 'border-now bg-now text-now-ink hover:brightness-95',
  quiet: 'border-transparent bg-transparent hover:bg-well',
  alarm: 'border-alarm bg-surface text-alarm hover:bg-alarm-wash',
};

const SIZE: Record<ButtonSize, string> = {
  table: 'min-h-9 px-3 text-sm gap-1.5 rounded-md',
  bench: 'min-h-14 px-5 text-lg gap-2.5 rounded-xl',
  wall: 'min-h-20 px-7 text-2xl gap-3 rounded-2xl',
};

export interface ButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  look?: ButtonLook;
  size?: ButtonSize;
  ref?: Ref<HTMLButtonElement>;
}

export const buttonClass = (
  look: ButtonLook = 'plain',
  size: ButtonSize = 'table',
  className?: string,
): string =>
  cx(
    'inline-flex items-center justify-center border font-semibold leading-tight disabled:cursor-not-allowed disabled:opacity-50',
    LOOK[look],
    SIZE[size],
    className,
  );

export function Button({ look, size, className, type = 'button', ...rest }: ButtonProps) {
  return <button type={type} className={buttonClass(look, size, className)} {...rest} />;
}

/** A button that shows only a picture; `label` is its name for everybody who can't see it, and its hint. */
export function IconButton({ label, className, ...rest }: ButtonProps & { label: string }) {
  return (
    <Button
      look="quiet"
      aria-label={label}
      title={label}
      className={cx('min-h-8 min-w-8 px-1.5 text-soft hover:text-ink', className)}
      {...rest}
    />
  );
}
