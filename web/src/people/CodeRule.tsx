import { toast } from 'sonner';
import {
  CODE_ASKED_OF,
  HOURS_FOR_A_CODE,
  ROLES_ASKED,
  type CodeAskedOf,
  type MemberView,
} from '@vendu/contract';
import { useCodeRuleQuery, useSaveCodeRuleMutation } from '../api/peopleApi';
import { troubleOf } from '../api/problem';
import { dayAndTimeOf } from '../ui/dates';
import { TroubleNotice } from '../ui/Notice';
import { CODE_ASKED_WORDS } from '../ui/words';

/** Of whom the lab asks a code at sign-in, and who has none yet. */
export function CodeRule({ members }: { members: readonly MemberView[] }) {
  const { data: rule, error } = useCodeRuleQuery();
  const [save, saving] = useSaveCodeRuleMutation();
  if (!rule) return <TroubleNotice trouble={troubleOf(error)} />;
  const { askedOf, askedFrom, revision } = rule;
  const without = members.filter(
    ({ standing, role, hasCode }) => standing === 'in' && !hasCode && ROLES_ASKED[askedOf].includes(role),
  );
  async function choose(next: CodeAskedOf) {
    const { data } = await save({ revision, askedOf: next });
    if (data) toast(data.askedOf === 'nobody' ? 'No code is asked for' : 'A code is asked for at sign-in');
  }
  return (
    <fieldset disabled={saving.isLoading} className="max-w-160">
      <legend className="heading mb-1 w-full">A code at sign-in is asked of</legend>
      <div className="flex flex-wrap gap-x-6">
        {CODE_ASKED_OF.map((each) => (
          <label key={each} className="flex min-h-11 items-center gap-2">
            <input
              type="radio"
              name="code-rule"
              className="size-4 accent-ink"
              checked={askedOf === each}
              onChange={() => void choose(each)}
            />
            {CODE_ASKED_WORDS[each]}
          </label>
        ))}
      </div>
      {askedFrom && (
        <p className="caption">
          {without.length === 0
            ? 'All of them have one.'
            : `Without one: ${without.map(({ name }) => name).join(', ')}. From ${dayAndTimeOf(askedFrom)} they set it up before anything else.`}
        </p>
      )}
      {!askedFrom && (
        <p className="caption">
          Whoever is asked has {HOURS_FOR_A_CODE} hours to set one up, with an app on a phone.
        </p>
      )}
      <TroubleNotice trouble={troubleOf(saving.error)} />
    </fieldset>
  );
}
