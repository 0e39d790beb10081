'use client';
import { lazy, Suspense, useState, type ComponentType } from 'react';
import type { DialogProps } from './dialogProps';

let loaded: ComponentType<DialogProps> | null = null;
export const loadDialog = () =>
  import('./OpenDialog').then(({ OpenDialog }) => {
    loaded = OpenDialog;
    return { default: OpenDialog };
  });
const Later = lazy(loadDialog);

/** A sheet laid over the page, while it is drawn. What draws it is fetched when the page stands: no page waits for its dialogs. */
export function Dialog(props: DialogProps) {
  // the same for as long as it is open: another one would forget what was typed
  const [Sheet] = useState<ComponentType<DialogProps>>(() => loaded ?? Later);
  return (
    <Suspense fallback={null}>
      <Sheet {...props} />
    </Suspense>
  );
}
