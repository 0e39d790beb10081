'use client';
import { loadMenu } from '@/ui/Menu';
import { useFetchedEarly } from '@/ui/useFetchedEarly';
import { MethodEditor } from './MethodEditor';

const NEEDED_OFFLINE = [loadMenu];

/** How the formula is made, step by step. */
export function MethodPlace() {
  useFetchedEarly(NEEDED_OFFLINE);
  return <MethodEditor />;
}
