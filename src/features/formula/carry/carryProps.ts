import type { HTMLAttributes, LiHTMLAttributes, ReactElement, ReactNode, Ref } from 'react';

export interface CarryAreaProps {
  /** The name a screen reader says for a thing or a place; stable, or the area is set up again at each drawing. */
  nameOf: (id: string) => string;
  /** A thing was set down on another one. */
  onDrop: (id: string, overId: string) => void;
  children: ReactNode;
}

export interface CarryListProps {
  id: string;
  ids: readonly string[];
  as: 'ul' | 'ol';
  className?: string;
  children: ReactNode;
}

/** What a row and its grip have to be given so that they can be carried. */
export interface Carry {
  readonly row: LiHTMLAttributes<HTMLLIElement> & { ref?: Ref<HTMLLIElement> };
  readonly grip: HTMLAttributes<HTMLButtonElement> & { ref?: Ref<HTMLButtonElement> };
  readonly carried: boolean;
}

export interface CarriedProps {
  id: string;
  children: (carry: Carry) => ReactElement;
}
