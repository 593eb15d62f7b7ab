'use client';
import type { SaveResult } from '@/contract/save-result';
import type { Client } from '@/contract/views/client';
import { NativeSelect, NumberInput, Textarea, TextInput } from '@mantine/core';
import type { UseFormReturnType } from '@mantine/form';
import { useRouter } from 'next/navigation';
import { memo, useMemo, useState, type ReactNode } from 'react';
import { buildBody, sizeOf, type Body } from '@/core/body/body-model';
import { HEIGHT_NAMES, LENGTH_NAMES, MEASURE_NAMES, SEATED_NAMES, type MeasureName } from '@/core/body/segment-ratios';
import { SAID_IN, type SaidIn } from '@/core/units/as-spoken';
import { clientFormSchema } from '@/contract/client-form';
import { findMeasureSlips } from '@/contract/body-schema';
import { toFieldIssues } from '@/contract/field';
import { RestoredNote } from '@/features/shell/restored-note';
import { SaveRow } from '@/features/shell/save-row';
import { SheetForm } from '@/features/shell/sheet-form';
import { useLatest } from '@/features/shell/use-latest';
import { useSame } from '@/features/shell/use-same';
import { useSavedForm } from '@/features/shell/use-saved-form';
import forms from '@/features/shell/forms.module.css';
import { figureText, SAID_IN_NAME } from '@/messages/numbers';
import { MEASURE_LABEL } from '@/messages/measures';
import { ArmPathForm } from './arm-path-form';
import { BodyFigure } from './body-figure';
import { toBodyInput, toClientValues, type ClientValues, type SetValue, type SizeValues } from './client-form-values';
import { HingeTable } from './hinge-table';
import { LimitsForm } from './limits-form';
import { MeasuringGuide } from './measuring-guide';
import { NotesForm } from './notes-form';
import { RangeTable } from './range-table';
import { SaidInProvider, useSaidIn } from '@/features/shell/said-in';
import { UnitInput } from '@/features/shell/unit-input';
import { WORDS } from '@/messages/screens/client';
import styles from './client.module.css';

interface Props {
  readonly client: Client | null;
  readonly guide: Parameters<typeof MeasuringGuide>[0]['guide'];
  readonly today: string;
  /** How lengths and masses are said in the gym. */
  readonly gymSaidIn: SaidIn;
  readonly save: (id: string | null, typed: unknown, opened: Client | null, key: string) => Promise<SaveResult<Client>>;
}

const check = (v: ClientValues) => {
  const parsed = clientFormSchema.safeParse(v);
  return parsed.success ? [] : toFieldIssues(parsed.error);
};

const PARTS = [
  ['measure', 'Measure'],
  ['range', 'Range'],
  ['path', WORDS.rearDeltoidPath],
  ['chest', WORDS.chestLine],
  ['notes', 'Notes'],
  ['limits', 'Limits'],
  ['setup-book', WORDS.setUpBook],
  ['screening', 'Screening'],
] as const;

type ClientForm = UseFormReturnType<ClientValues>;

interface PartProps {
  readonly form: ClientForm;
  readonly set: SetValue;
}

/** The body that the typed measures make; null without a stature. A slip of the tape is told at its field only. */
function bodyOf(values: SizeValues): Body | null {
  const input = toBodyInput(values);
  if (!input) return null;
  const slips = new Set(findMeasureSlips(input.statureM, input.measuredM).map((s) => s.name));
  return buildBody({
    ...input,
    measuredM: Object.fromEntries(Object.entries(input.measuredM).filter(([n]) => !slips.has(n as MeasureName))),
  });
}

/** What stands in for a measure that was not taken. */
function estimateText(body: Body | null, name: MeasureName, saidIn: SaidIn): string {
  if (!body) return '';
  const sized = sizeOf(body, name);
  const cm = figureText(sized.m * 100, saidIn);
  if (sized.source === 'measured') return 'measured';
  return sized.source === 'derived' ? `follows: ${cm}` : `estimated: ${cm}`;
}

interface MeasureBoxProps {
  readonly name: MeasureName;
  readonly value: number | '';
  readonly error: ReactNode;
  /** What is reckoned without the tape. */
  readonly estimate: string;
  readonly set: SetValue;
  readonly onShow: (name: MeasureName) => void;
}

/** A box for the tape. There are many: each is drawn anew only when something of it changes. */
const MeasureBox = memo(function MeasureBox({ name, value, error, estimate, set, onShow }: MeasureBoxProps) {
  return (
    <UnitInput
      unit="cm"
      id={`measure-${name}`}
      label={MEASURE_LABEL[name]}
      description={estimate}
      classNames={{ description: value === '' ? styles.estimatedNumber : undefined }}
      value={value}
      error={error}
      onChange={(v) => set(`measuredCm.${name}`, v)}
      onFocus={() => onShow(name)}
    />
  );
});

/** Boxes for the tape, one a measure, with what is reckoned without it. */
function MeasureBoxes(
  props: PartProps & {
    readonly names: readonly MeasureName[];
    readonly body: Body | null;
    readonly onShow: (name: MeasureName) => void;
  },
) {
  const { names, body, form, set, onShow } = props;
  const saidIn = useSaidIn();
  return (
    <div className={styles.boxes}>
      {names.map((n) => (
        <MeasureBox
          key={n}
          name={n}
          value={form.values.measuredCm[n]}
          error={form.errors[`measuredCm.${n}`]}
          estimate={estimateText(body, n, saidIn)}
          set={set}
          onShow={onShow}
        />
      ))}
    </div>
  );
}

/** The client drawn from what is typed; a number tapped is measured next. */
const FigureSide = memo(function FigureSide(props: {
  readonly body: Body | null;
  readonly shown: MeasureName | null;
  readonly onMeasure: (name: MeasureName) => void;
}) {
  return (
    <div className={styles.figure}>
      {props.body ? (
        <BodyFigure body={props.body} shown={props.shown} onMeasure={props.onMeasure} />
      ) : (
        <p className={styles.noFigure}>{WORDS.enterAStatureToDraw}</p>
      )}
      <p className={styles.legend}>
        <span className={styles.measuredNumber}>{WORDS.solid}</span> {WORDS.measured}{' '}
        <span className={styles.estimatedNumber}>{WORDS.dashed}</span> {WORDS.estimatedFromTheStatureOr}
      </p>
    </div>
  );
});

/** Where on the sheet what stands; a client not yet kept has no records. */
function PartsOfSheet({ known }: { readonly known: boolean }) {
  return (
    <nav className={styles.parts} aria-label={WORDS.partsOfTheSheet}>
      {PARTS.filter(([id]) => known || (id !== 'screening' && id !== 'setup-book')).map(([id, name]) => (
        <a key={id} href={`#${id}`}>
          {name}
        </a>
      ))}
    </nav>
  );
}

/** Name, stature, mass, and how lengths are said. */
function WhoParts(props: { readonly form: ClientForm; readonly body: Body | null; readonly gymSaidIn: SaidIn }) {
  const { form, body, gymSaidIn } = props;
  return (
    <div className={forms.grid}>
      <TextInput className={forms.wide} label={WORDS.name} {...form.getInputProps('name')} />
      <UnitInput unit="cm" label={WORDS.stature} {...form.getInputProps('statureCm')} />
      <UnitInput
        unit="kg"
        label={WORDS.mass}
        description={body && form.values.massKg === '' ? WORDS.estimatedKg(body.massKg) : undefined}
        classNames={{ description: styles.estimatedNumber }}
        {...form.getInputProps('massKg')}
      />
      <NativeSelect
        className={forms.wide}
        label={WORDS.saidIn}
        data={[
          { value: '', label: WORDS.asInTheGym(SAID_IN_NAME[gymSaidIn]) },
          ...SAID_IN.map((s) => ({ value: s, label: SAID_IN_NAME[s] })),
        ]}
        {...form.getInputProps('saidIn')}
      />
      <Textarea className={forms.wide} label={WORDS.noteShownOnTheFloor} {...form.getInputProps('note')} />
    </div>
  );
}

/** What the tape says, and what to take it to next. */
function MeasuredParts(
  props: PartProps & {
    readonly body: Body | null;
    readonly guide: Props['guide'];
    readonly onShow: (name: MeasureName) => void;
    readonly onMeasure: (name: MeasureName) => void;
  },
) {
  const { form, set, body, guide, onShow, onMeasure } = props;
  const boxes = { body, form, set, onShow };
  const measuredCm = useSame(form.values.measuredCm);
  const done = useMemo(() => new Set(MEASURE_NAMES.filter((n) => measuredCm[n] !== '')), [measuredCm]);
  return (
    <>
      <h2 id="measure">{WORDS.measureNext}</h2>
      <MeasuringGuide guide={guide} done={done} onMeasure={onMeasure} />
      <h2>{WORDS.heightsAboveTheFloorStanding}</h2>
      <MeasureBoxes names={HEIGHT_NAMES.toReversed()} {...boxes} />
      <h2>{WORDS.heightsAboveTheSeatSitting}</h2>
      <MeasureBoxes names={SEATED_NAMES} {...boxes} />
      <h2>{WORDS.lengths}</h2>
      <MeasureBoxes names={LENGTH_NAMES} {...boxes} />
      {body && (
        <>
          <h2>{WORDS.hingeByEye}</h2>
          <HingeTable body={body} />
        </>
      )}
    </>
  );
}

/** What the joints allow, the notes that change defaults, and what a clinician set. */
function AllowedParts({ form, set, today }: PartProps & { readonly today: string }) {
  const [rangeDeg, armPath] = [useSame(form.values.rangeDeg), useSame(form.values.armPath)];
  const [notes, unfelt] = [useSame(form.values.notes), useSame(form.values.unfelt)];
  const errors = useSame(form.errors);
  return (
    <>
      <h2 id="range">{WORDS.activeRange}</h2>
      <p className={styles.hint}>{WORDS.howFarTheClientGoes}</p>
      <RangeTable rangeDeg={rangeDeg} errors={errors} set={set} />
      <h2 id="path">{WORDS.rearDeltoidPath}</h2>
      <p className={styles.hint}>{WORDS.armOutToTheSide}</p>
      <ArmPathForm armPath={armPath} errors={errors} set={set} />
      <h2 id="chest">{WORDS.lowerChestLine}</h2>
      <p className={styles.hint}>{WORDS.theLowerBorderOfThe}</p>
      <NumberInput
        label={WORDS.belowLevelLabel}
        suffix="°"
        decimalScale={0}
        className={styles.chestLine}
        {...form.getInputProps('chestLineDeg')}
      />
      <h2 id="notes">{WORDS.notesThatChangeDefaults}</h2>
      <NotesForm notes={notes} unfelt={unfelt} set={set} />
      <h2 id="limits">{WORDS.cliniciansLimits}</h2>
      <p className={styles.hint}>{WORDS.asTheClinicianNamedThem}</p>
      <LimitsForm form={form} today={today} />
    </>
  );
}

/**
 * What fits this body: stature, what the tape says and the figure that follows, what the joints allow, notes and
 * limits.
 */
export function ClientSheet({ client, guide, today, gymSaidIn, save }: Props) {
  const router = useRouter();
  const [saved, setSaved] = useState(false);
  const [shown, setShown] = useState<MeasureName | null>(null);
  const { form, onSubmit, busy, trouble, restoredMs, startOver } = useSavedForm(
    toClientValues(client),
    check,
    (values, opened, key) => save(client?.id ?? null, values, opened, key),
    (id) => {
      setSaved(true);
      if (client) router.refresh();
      else router.push(`/clients/${id}`);
    },
    `client-${client?.id ?? 'new'}`,
    { opened: client, toValues: toClientValues },
  );
  const set = useLatest<Parameters<SetValue>>((path, value, told = path) => {
    form.setFieldValue(path, value as never);
    form.clearFieldError(told);
  });
  const { statureCm, massKg, measuredCm } = form.values;
  const size = useSame<SizeValues>({ statureCm, massKg, measuredCm });
  const body = useMemo(() => bodyOf(size), [size]);
  const measure = useLatest((name: MeasureName): void => {
    setShown(name);
    document.getElementById(`measure-${name}`)?.focus();
  });
  return (
    <SaidInProvider saidIn={form.values.saidIn || gymSaidIn}>
      <SheetForm onSubmit={onSubmit} className={styles.sheet} onChange={() => setSaved(false)}>
        <div className={styles.who}>
          <RestoredNote restoredMs={restoredMs} onStartOver={startOver} />
          <PartsOfSheet known={client !== null} />
          <WhoParts form={form} body={body} gymSaidIn={gymSaidIn} />
        </div>
        <FigureSide body={body} shown={shown} onMeasure={measure} />
        <div>
          <MeasuredParts form={form} set={set} body={body} guide={guide} onShow={setShown} onMeasure={measure} />
          <AllowedParts form={form} set={set} today={today} />
          <SaveRow inSight label={WORDS.saveClient} busy={busy} said={saved ? WORDS.saved : null} trouble={trouble} />
        </div>
      </SheetForm>
    </SaidInProvider>
  );
}
