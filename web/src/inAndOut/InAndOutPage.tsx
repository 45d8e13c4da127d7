import { useRunsTheLab } from '../session/roles';
import { useSessionQuery } from '../session/sessionApi';
import { ButtonLink } from '../ui/Button';
import { ExportButton } from './ExportButton';
import { Tokens } from './Tokens';
import { Webhooks } from './Webhooks';

/** The doors of a lab: what leaves it, what comes in, and which programs may ask it. */
export function InAndOutPage() {
  const runsTheLab = useRunsTheLab();
  const isAdmin = useSessionQuery().data?.person?.role === 'admin';
  return (
    <>
      <h1 className="mb-5 text-title font-bold">In and out</h1>
      <div className="grid grid-cols-1 gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,24rem)_minmax(0,1fr)]">
        <div className="flex flex-col gap-8">
          <section>
            <h2 className="heading mb-2">Everything out</h2>
            <p className="mb-2 text-small text-quiet">
              All lots, recipes, brews and what was measured and tasted, as one file that other programs read:
              tables with their description, traces, logs, recipes. What a recipe’s file looks like:{' '}
              <a href="/api/recipe.schema.json" className="text-ink underline underline-offset-3">
                recipe.schema.json
              </a>
            </p>
            {runsTheLab ? (
              <ExportButton url="/api/export/lab.zip" words="Export everything" />
            ) : (
              <p className="text-small">A lead or an admin can export it.</p>
            )}
          </section>
          <section>
            <h2 className="heading mb-2">A lab’s file in</h2>
            <p className="mb-2 text-small text-quiet">
              What an export made, here or in another lab: you see what is new, what is here and what is told
              otherwise before anything is saved, and what came can go again.
            </p>
            {runsTheLab ? (
              <ButtonLink to="/in-and-out/file">Bring in a file</ButtonLink>
            ) : (
              <p className="text-small">A lead or an admin can bring it in.</p>
            )}
          </section>
          {!isAdmin && (
            <section>
              <h2 className="heading mb-2">Lots in</h2>
              <p className="mb-2 text-small text-quiet">
                A table of lots from a spreadsheet, its columns matched by hand. Brews and readings of a lot
                come in on its page, under its trail.
              </p>
              <ButtonLink to="/lots/import">Import from CSV</ButtonLink>
            </section>
          )}
          <section>
            <h2 className="heading mb-2">For readers of feeds</h2>
            <p className="text-small text-quiet">
              What became public, what changed in it and what was recalled, for everybody:{' '}
              <a href="/api/published.atom" className="text-ink underline underline-offset-3">
                published.atom
              </a>
            </p>
          </section>
        </div>
        <div className="flex min-w-0 flex-col gap-8">
          <Tokens />
          {runsTheLab && <Webhooks />}
        </div>
      </div>
    </>
  );
}
