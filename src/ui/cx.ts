import { clsx, type ClassValue } from 'clsx';
import { twMerge } from 'tailwind-merge';

/** Class names, later ones winning over earlier ones of the same kind. */
export const cx = (...names: ClassValue[]): string => twMerge(clsx(names));
