'use client';
import { useSyncExternalStore } from 'react';

const never = () => () => undefined;

/**
 * Is the page answering yet? False while it is only what the server drew: what is typed or pressed in that moment would be lost,
 * so a field waits for it.
 */
export const useAwake = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
