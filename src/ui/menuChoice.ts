import type { ReactNode } from 'react';

export interface MenuChoice {
  readonly key: string;
  readonly words: ReactNode;
  readonly onSelect: () => void;
  readonly alarm?: boolean;
}
