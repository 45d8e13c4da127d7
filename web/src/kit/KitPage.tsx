import { troubleOf } from '../api/problem';
import { useKitQuery } from '../api/kitApi';
import { Loading } from '../ui/Loading';
import { Unavailable } from '../ui/Unavailable';
import { Edits } from '../saving/Edits';
import { Brewers } from './Brewers';
import { Feeders } from './Feeders';
import { Grinders } from './Grinders';
import { Instruments } from './Instruments';
import { Kettles } from './Kettles';
import { Lab } from './Lab';
import { Papers } from './Papers';
import { anchor } from './Section';
import { Sieves } from './Sieves';
import { Waters } from './Waters';

const SECTIONS = [
  'The lab',
  'Brewers',
  'Grinders',
  'Papers',
  'Kettles',
  'Regulators and shower plates',
  'Sieves',
  'Waters',
  'Instruments',
] as const;

/** Everything the lab brews and measures with. */
export function KitPage() {
  const { data: kit, error, isLoading, refetch } = useKitQuery();
  if (isLoading) return <Loading />;
  if (!kit) return <Unavailable trouble={troubleOf(error)} onRetry={() => void refetch()} />;
  return (
    <div className="grid grid-cols-1 gap-x-10 xl:grid-cols-[9rem_minmax(0,1fr)]">
      <div>
        <h1 className="mb-3 text-title font-bold">Kit</h1>
        <nav aria-label="Kinds of kit" className="sticky top-4 flex flex-wrap gap-x-4 gap-y-1 xl:flex-col">
          {SECTIONS.map((title) => (
            <a
              key={title}
              href={`#${anchor(title)}`}
              className="py-1 text-small text-quiet hover:text-ink hover:underline"
            >
              {title}
            </a>
          ))}
        </nav>
      </div>
      <div className="flex flex-col gap-9">
        <Lab kit={kit} />
        <Brewers kit={kit} />
        <Grinders kit={kit} />
        <div className="grid grid-cols-1 gap-x-10 gap-y-9 md:grid-cols-2">
          <Papers kit={kit} />
          <Kettles kit={kit} />
          <Feeders kit={kit} />
          <Sieves kit={kit} />
        </div>
        <Waters kit={kit} />
        <Instruments kit={kit} />
        <Edits of="kit" />
      </div>
    </div>
  );
}
