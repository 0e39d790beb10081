import type { ButtonHTMLAttributes, Ref } from 'react';
import { cx } from './cx';

/** `now` is the one thing to do next; a screen has at most one of it. `bench` is for knuckles. */
export type ButtonLook = 'plain' | 'strong' | 'now' | 'quiet' | 'alarm';
export type ButtonSize = 'table' | 'bench' | 'wall';

export interface ButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  look?: ButtonLook;
  size?: ButtonSize;
  ref?: Ref<HTMLButtonElement>;
}

/** Drawn in globals.css, in the layer of components: a page's own classes win over them whatever their order. */
export const buttonClass = (
  look: ButtonLook = 'plain',
  size: ButtonSize = 'table',
  className?: string,
): string => cx('button', `button-${look}`, `button-${size}`, className);

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
      className={cx('button-icon', className)}
      {...rest}
    />
  );
}
