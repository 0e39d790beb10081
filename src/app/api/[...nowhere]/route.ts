import { notFound } from '../edge';

/** An address of the interface that there is not: answered as data, like every other. */
export const GET = (): Response => notFound();
export const POST = GET;
