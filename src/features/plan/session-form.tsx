'use client';
import { Checkbox, NativeSelect, NumberInput, TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { toFieldIssues } from '@/contract/field';
import type { SaveResult } from '@/contract/save-result';
import { sessionFormSchema } from '@/contract/session-form';
import type { AskedSession, WeekView } from '@/contract/views/session-plan';
import { SaveRow } from '@/features/shell/save-row';
import { SheetForm } from '@/features/shell/sheet-form';
import { useSavedForm } from '@/features/shell/use-saved-form';
import forms from '@/features/shell/forms.module.css';
import { WORDS } from '@/messages/screens/week';

interface Props {
  readonly week: WeekView;
  readonly asked: AskedSession;
  readonly make: (typed: unknown, key: string) => Promise<SaveResult>;
}

type Values = {
  readonly clientId: string;
  readonly gymId: string;
  readonly day: string;
  readonly startsAt: string;
  readonly minutes: number | '';
  /** What it begins as, and of a template or session which, with a space between. */
  readonly from: string;
  readonly leaveOut: boolean;
};

/** As it is sent: what it begins as, and which, apart. */
function typedOf({ from, ...values }: Values) {
  const [kind, ...id] = from.split(' ');
  return { ...values, from: kind, fromId: id.join(' ') };
}

/** What a session can begin as. */
const beginnings = ({ templates }: WeekView, { fromId }: AskedSession) => [
  ...(fromId === '' ? [] : [{ value: `session ${fromId}`, label: WORDS.fromText.session }]),
  { value: 'last', label: WORDS.fromText.last },
  ...templates.map((t) => ({ value: `template ${t.id}`, label: WORDS.template(t.name, t.minutes) })),
  { value: 'empty', label: WORDS.fromText.empty },
];

/** The form that makes a session on any day. */
export function SessionForm({ week, asked, make }: Props) {
  const router = useRouter();
  const { form, onSubmit, busy, trouble } = useSavedForm<Values>(
    {
      clientId: asked.clientId || (week.clients[0]?.value ?? ''),
      gymId: '',
      day: asked.day,
      startsAt: asked.startsAt,
      minutes: asked.minutes,
      from: asked.fromId === '' ? 'last' : `session ${asked.fromId}`,
      leaveOut: false,
    },
    (v) => {
      const parsed = sessionFormSchema.safeParse(typedOf(v));
      return parsed.success
        ? []
        : toFieldIssues(parsed.error).map((i) => ({ ...i, path: i.path === 'fromId' ? 'from' : i.path }));
    },
    (v, _, key) => make(typedOf(v), key),
    (id) => router.push(`/plan/${id}`),
    asked.isAsked ? null : 'plan-session',
  );
  const start = (from: string): void => {
    const template = week.templates.find((t) => from === `template ${t.id}`);
    form.setValues({ from, ...(template ? { minutes: template.minutes } : {}) });
  };
  if (week.clients.length === 0) return <p>{WORDS.needsClient}</p>;
  return (
    <details className={forms.fold} id="new" open={asked.isAsked || undefined}>
      <summary>{WORDS.make}</summary>
      <SheetForm onSubmit={onSubmit} className={forms.grid} onChange={() => undefined}>
        <NativeSelect label={WORDS.client} data={[...week.clients]} {...form.getInputProps('clientId')} />
        {week.gyms.length > 1 && (
          <NativeSelect
            label={WORDS.gym}
            data={[{ value: '', label: WORDS.whereLast }, ...week.gyms]}
            {...form.getInputProps('gymId')}
          />
        )}
        <TextInput type="date" label={WORDS.day} {...form.getInputProps('day')} />
        <TextInput label={WORDS.starts} {...form.getInputProps('startsAt')} />
        <NumberInput label={WORDS.minutes} {...form.getInputProps('minutes')} />
        <NativeSelect
          label={WORDS.from}
          data={beginnings(week, asked)}
          {...form.getInputProps('from')}
          onChange={(e) => start(e.currentTarget.value)}
        />
        <Checkbox
          className={forms.wide}
          size="lg"
          label={WORDS.leaveOut}
          {...form.getInputProps('leaveOut', { type: 'checkbox' })}
        />
        <p className={forms.wide}>{WORDS.learned}</p>
        <SaveRow label={WORDS.makeIt} busy={busy} said={null} trouble={trouble} />
      </SheetForm>
    </details>
  );
}
