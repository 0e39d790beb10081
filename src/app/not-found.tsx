import Link from 'next/link';
import { buttonClass } from '@/ui/Button';
import { words } from '@/wording/screens/pages';

export default function NoSuchAddress() {
  return (
    <main className="docket mx-auto mt-10 max-w-xl p-6">
      <h1 className="text-2xl">{words.pageNotFound}</h1>
      <p className="mt-2 text-soft">{words.theAddressMayHaveBeen}</p>
      <Link href="/" className={buttonClass('strong', 'table', 'mt-5')}>
        {words.toToday}
      </Link>
    </main>
  );
}
