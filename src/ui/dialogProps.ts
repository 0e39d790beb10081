import type { ReactNode } from 'react';

export interface DialogProps {
  onClose: () => void;
  title: string;
  /** One sentence under the title; read out when the dialog opens. */
  hint?: string;
  children: ReactNode;
  wide?: boolean;
}
