'use client';
import type { SaveResult } from '@/contract/save-result';
import type { KitPiece } from '@/contract/views/kit';
import { NativeSelect, Table, TextInput } from '@mantine/core';
import type { UseFormReturnType } from '@mantine/form';
import { useRouter } from 'next/navigation';
import { memo, useMemo, useState } from 'react';
import { ATTACHMENT_KINDS, type AttachmentKind } from '@/core/kit/attachment';
import type { BodyInput } from '@/core/body/body-model';
import type { SaidIn } from '@/core/units/as-spoken';
import type { KitKind } from '@/core/kit/kit-kind';
import { toFieldIssues } from '@/contract/field';
import { KIT_SPEC, pieceSchema } from '@/contract/kit-spec';
import { usualAttachment } from '@/contract/starter-kit';
import { RestoredNote } from '@/features/shell/restored-note';
import { SaidInProvider } from '@/features/shell/said-in';
import { SaveRow } from '@/features/shell/save-row';
import { SheetForm } from '@/features/shell/sheet-form';
import { useSame } from '@/features/shell/use-same';
import { useSavedForm } from '@/features/shell/use-saved-form';
import forms from '@/features/shell/forms.module.css';
import { KIT_CAUTION, KIT_NAME, KIT_STAND_IN, notchOffText } from '@/messages/kit';
import { KitDrawing } from './kit-drawing';
import { KIT_FIELDS } from './kit-fields';
import { KitFieldBox } from './kit-field-box';
import { fitClients, notchesFor, previewKit } from './kit-preview';
import { toKitValues, type KitValues } from './kit-values';
import { WORDS } from '@/messages/screens/kit';
import styles from './kit.module.css';

interface Props {
  readonly kind: KitKind;
  readonly piece: KitPiece | null;
  readonly clients: readonly (BodyInput & { readonly name: string })[];
  readonly saidIn: SaidIn;
  readonly save: (
    id: string | null,
    typed: unknown,
    opened: KitPiece | null,
    key: string,
  ) => Promise<SaveResult<KitPiece>>;
}

function check(v: KitValues) {
  const outer = pieceSchema.safeParse(v);
  const inner = KIT_SPEC[v.kind].safeParse(v.spec);
  return [
    ...(outer.success ? [] : toFieldIssues(outer.error)),
    ...(inner.success ? [] : toFieldIssues(inner.error).map((i) => ({ ...i, path: `spec.${i.path}` }))),
  ];
}

type KitForm = UseFormReturnType<KitValues>;

/** What of one table is drawn beside the piece: a name, the setting, and what is to say of it. */
function SettingTable(props: {
  readonly caption: string;
  readonly rows: readonly {
    readonly name: string;
    readonly setting: string;
    readonly says: string;
    readonly estimated: boolean;
  }[];
}) {
  if (props.rows.length === 0) return null;
  return (
    <Table className={styles.fits}>
      <Table.Caption>{props.caption}</Table.Caption>
      <Table.Tbody>
        {props.rows.map((r) => (
          <Table.Tr key={r.name}>
            <Table.Th scope="row">{r.name}</Table.Th>
            <Table.Td className={r.estimated ? styles.estimatedNumber : styles.measuredNumber}>{r.setting}</Table.Td>
            <Table.Td>{r.says}</Table.Td>
          </Table.Tr>
        ))}
      </Table.Tbody>
    </Table>
  );
}

/** The piece to scale as it is typed, and where it is set for whom. */
const Drawn = memo(function Drawn({
  kind,
  spec,
  clients,
  scene,
}: Pick<Props, 'kind' | 'clients'> & Pick<KitValues, 'spec'> & Drawing) {
  const fits = useMemo(() => fitClients(kind, spec, clients), [kind, spec, clients]);
  const notches = useMemo(() => (kind === 'bench' ? notchesFor(spec) : []), [kind, spec]);
  return (
    <div className={styles.drawing}>
      {scene ? (
        <KitDrawing scene={scene} label={WORDS.toScale(KIT_NAME[kind].one)} />
      ) : (
        <p className={styles.hint}>{WORDS.drawnToScaleOnceEnough}</p>
      )}
      <SettingTable caption={WORDS.whereEachClientGoes} rows={fits} />
      <SettingTable
        caption={WORDS.nearestNotch}
        rows={notches.map((n) => ({
          name: n.name,
          setting: WORDS.notchNumber(n.notch),
          says: notchOffText(n.offDeg),
          estimated: false,
        }))}
      />
    </div>
  );
});

type Drawing = Pick<ReturnType<typeof previewKit>, 'scene'>;

/** The fields of a kind in their sections, with the fit of what was measured under the first. */
function Sections({
  kind,
  form,
  fit,
}: {
  readonly kind: KitKind;
  readonly form: KitForm;
  readonly fit: string | null;
}) {
  const { spec } = form.values;
  // A handle starts from what its kind usually measures, until something was typed over it.
  const onChosen = (key: string, value: string): void => {
    if (key !== 'attachmentKind') return;
    const usual = ATTACHMENT_KINDS.map((k) => JSON.stringify(usualAttachment(k)));
    const untouched = spec.lengthCm === '' || usual.includes(JSON.stringify({ ...spec }));
    if (untouched) form.setFieldValue('spec', usualAttachment(value as AttachmentKind) as never);
  };
  return KIT_FIELDS[kind].map((section, k) => {
    const fields = section.fields.filter((f) => f.when?.(spec) ?? true);
    if (fields.length === 0) return null;
    return (
      <section key={section.title}>
        <h2>{section.title}</h2>
        {section.hint && <p className={styles.hint}>{section.hint}</p>}
        <div className={forms.grid}>
          {fields.map((f) => (
            <KitFieldBox key={f.key} field={f} form={form} onChosen={onChosen} />
          ))}
        </div>
        {k === 0 && fit && (
          <p className={styles.fit} data-testid="kit-fit" role="status">
            {fit}
          </p>
        )}
      </section>
    );
  });
}

/**
 * A piece of kit from a tape and an angle meter: what was measured, the fit and what is left over, drawn to scale as it
 * is typed.
 */
export function KitSheet({ kind, piece, clients, saidIn, save }: Props) {
  const router = useRouter();
  const [saved, setSaved] = useState(false);
  const { form, onSubmit, busy, trouble, restoredMs, startOver } = useSavedForm<KitValues, KitPiece>(
    toKitValues(kind, piece),
    check,
    (values, opened, key) => save(piece?.id ?? null, values, opened, key),
    (id) => {
      setSaved(true);
      if (piece) router.refresh();
      else router.push(`/kit/${id}`);
    },
    `kit-${piece?.id ?? `new-${kind}`}`,
    { opened: piece, toValues: (kept) => toKitValues(kind, kept) },
  );
  const spec = useSame(form.values.spec);
  const preview = useMemo(() => previewKit(kind, spec), [kind, spec]);
  return (
    <SaidInProvider saidIn={saidIn}>
      <SheetForm onSubmit={onSubmit} className={styles.station} onChange={() => setSaved(false)}>
        <div>
          <RestoredNote restoredMs={restoredMs} onStartOver={startOver} />
          {piece?.asUsual && <p className={styles.caution}>{WORDS.asUsualText}</p>}
          <div className={forms.grid}>
            <TextInput label={WORDS.name} {...form.getInputProps('name')} />
            <NativeSelect label={WORDS.outOfOrderLabel} data={['no', 'yes']} {...form.getInputProps('outOfOrder')} />
          </div>
          {form.values.outOfOrder === 'yes' && (
            <p className={styles.caution}>
              <b>{WORDS.standsInMeanwhile}</b> {KIT_STAND_IN[kind]}
            </p>
          )}
          <Sections kind={kind} form={form} fit={preview.fit} />
          <p className={styles.caution}>{KIT_CAUTION[kind]}</p>
          <SaveRow
            label={WORDS.save(KIT_NAME[kind].one)}
            busy={busy}
            said={saved ? WORDS.saved : null}
            trouble={trouble}
          />
        </div>
        <Drawn kind={kind} spec={spec} clients={clients} scene={preview.scene} />
      </SheetForm>
    </SaidInProvider>
  );
}
