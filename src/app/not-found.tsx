import Link from 'next/link';
import { buttonClass } from '@/ui/Button';

export default function NoSuchAddress() {
  return (
    <main className="docket mx-auto mt-10 max-w-xl p-6">
      <h1 className="text-2xl">There is no such page</h1>
      <p className="mt-2 text-soft">The address may have been typed wrongly.</p>
      <Link href="/" className={buttonClass('strong', 'table', 'mt-5')}>
        To Today
      </Link>
    </main>
  );
}
