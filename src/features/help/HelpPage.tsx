import { GLOSSARY } from '@/wording/glossary';
import { words } from '@/wording/screens/help/HelpPage';
import { KitchenLink } from '../kitchen/KitchenProvider';

/** The work in its order, each with the page it is done on; then every term, from the same glossary that explains them where they stand. */
export function HelpPage() {
  return (
    <>
      <h1 className="mb-4 text-3xl">{words.help}</h1>
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <section aria-labelledby="work-title" className="docket rounded-b-md px-5 pt-4 pb-4">
          <h2 id="work-title" className="text-xl">
            {words.fromFormulaToBread}
          </h2>
          <ol className="mt-2">
            {words.steps.map(({ title, text, href, link }, index) => (
              <li key={title} className="flex gap-4 border-t border-rule py-3">
                <span aria-hidden className="figure w-8 shrink-0 text-3xl">
                  {index + 1}
                </span>
                <span>
                  <strong className="text-lg">{title}</strong>
                  <span className="block">{text}</span>
                  <KitchenLink href={href} className="inline-block min-h-7 text-link underline">
                    {link}
                  </KitchenLink>
                </span>
              </li>
            ))}
          </ol>
          <h2 className="mt-4 text-xl">{words.goodToKnow}</h2>
          <ul className="mt-2 list-disc space-y-2 pl-5">
            {words.facts.map((fact) => (
              <li key={fact}>{fact}</li>
            ))}
          </ul>
        </section>
        <section aria-labelledby="terms-title" className="docket rounded-b-md px-5 pt-4 pb-4">
          <h2 id="terms-title" className="text-xl">
            {words.terms}
          </h2>
          <dl className="mt-2">
            {Object.entries(GLOSSARY).map(([id, { word, means }]) => (
              <div key={id} id={id} className="scroll-mt-20 border-t border-rule py-2.5">
                <dt className="font-semibold">{word}</dt>
                <dd className="text-soft">{means}</dd>
              </div>
            ))}
          </dl>
        </section>
      </div>
    </>
  );
}
