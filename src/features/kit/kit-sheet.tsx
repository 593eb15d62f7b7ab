'use client';
import type { SaveResult } from '@/contract/save-result';
import type { KitPiece } from '@/contract/views/kit';
import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { ATTACHMENT_KINDS, type AttachmentKind } from '@/core/kit/attachment';
import type { BodyInput } from '@/core/body/body-model';
import type { KitKind } from '@/core/kit/kit-kind';
import { toFieldIssues } from '@/contract/field';
import { KIT_SPEC, pieceSchema } from '@/contract/kit-spec';
import { RestoredNote } from '@/features/shell/restored-note';
import { SheetForm } from '@/features/shell/sheet-form';
import { useSavedForm } from '@/features/shell/use-saved-form';
import forms from '@/features/shell/forms.module.css';
import { KIT_CAUTION, KIT_NAME, KIT_STAND_IN } from '@/messages/kit';
import { KitDrawing } from './kit-drawing';
import { KIT_FIELDS } from './kit-fields';
import { KitFieldBox } from './kit-field-box';
import { fitClients, notchesFor, previewKit } from './kit-preview';
import { toKitValues, usualAttachment, type KitValues } from './kit-values';
import styles from './kit.module.css';

interface Props {
  readonly kind: KitKind;
  readonly piece: KitPiece | null;
  readonly clients: readonly (BodyInput & { readonly name: string })[];
  readonly save: (id: string | null, typed: unknown) => Promise<SaveResult>;
}

function check(v: KitValues) {
  const outer = pieceSchema.safeParse(v);
  const inner = KIT_SPEC[v.kind].safeParse(v.spec);
  return [
    ...(outer.success ? [] : toFieldIssues(outer.error)),
    ...(inner.success ? [] : toFieldIssues(inner.error).map((i) => ({ ...i, path: `spec.${i.path}` }))),
  ];
}

/**
 * A piece of kit from a tape and an angle meter: what was measured, the fit and what is left over, drawn to scale as it
 * is typed.
 */
export function KitSheet({ kind, piece, clients, save }: Props) {
  const router = useRouter();
  const [saved, setSaved] = useState(false);
  const { form, onSubmit, busy, trouble, restored, startOver } = useSavedForm<KitValues>(
    toKitValues(kind, piece),
    check,
    (values) => save(piece?.id ?? null, values),
    (id) => {
      setSaved(true);
      if (piece) router.refresh();
      else router.push(`/kit/${id}`);
    },
    `kit-${piece?.id ?? `new-${kind}`}`,
  );
  const { spec } = form.values;
  const preview = useMemo(() => previewKit(kind, spec), [kind, spec]);
  const fits = useMemo(() => fitClients(kind, spec, clients), [kind, spec, clients]);
  const notches = useMemo(() => (kind === 'bench' ? notchesFor(spec) : []), [kind, spec]);
  // A handle starts from what its kind usually measures, until something was typed over it.
  const onChosen = (key: string, value: string): void => {
    if (key !== 'attachmentKind') return;
    const usual = ATTACHMENT_KINDS.map((k) => JSON.stringify(usualAttachment(k)));
    const untouched = spec.lengthCm === '' || usual.includes(JSON.stringify({ ...spec }));
    if (untouched) form.setFieldValue('spec', usualAttachment(value as AttachmentKind) as never);
  };
  return (
    <SheetForm onSubmit={onSubmit} className={styles.station} onChange={() => setSaved(false)}>
      <div>
        <RestoredNote restored={restored} onStartOver={startOver} />
        <div className={forms.grid}>
          <TextInput label="Name" {...form.getInputProps('name')} />
          <NativeSelect label="Out of order" data={['no', 'yes']} {...form.getInputProps('outOfOrder')} />
        </div>
        {form.values.outOfOrder === 'yes' && (
          <p className={styles.caution}>
            <b>Stands in meanwhile:</b> {KIT_STAND_IN[kind]}
          </p>
        )}
        {KIT_FIELDS[kind].map((section, k) => {
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
              {k === 0 && preview.fit && (
                <p className={styles.fit} data-testid="kit-fit" role="status">
                  {preview.fit}
                </p>
              )}
            </section>
          );
        })}
        <p className={styles.caution}>{KIT_CAUTION[kind]}</p>
        {trouble && (
          <p className={forms.trouble} role="alert">
            {trouble}
          </p>
        )}
        <div className={styles.saveRow}>
          <Button type="submit" loading={busy} className={forms.save}>
            Save {KIT_NAME[kind].one}
          </Button>
          {saved && (
            <p className={forms.saved} role="status">
              Saved
            </p>
          )}
        </div>
      </div>
      <div className={styles.drawing}>
        {preview.scene ? (
          <KitDrawing scene={preview.scene} label={`${KIT_NAME[kind].one}, to scale`} />
        ) : (
          <p className={styles.hint}>Drawn to scale once enough is measured.</p>
        )}
        {fits.length > 0 && (
          <table className={styles.fits}>
            <caption>Where each client goes</caption>
            <tbody>
              {fits.map((f) => (
                <tr key={f.name}>
                  <th scope="row">{f.name}</th>
                  <td className={f.estimated ? styles.estimatedNumber : styles.measuredNumber}>{f.setting}</td>
                  <td>{f.says}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        {notches.length > 0 && (
          <table className={styles.fits}>
            <caption>Nearest notch</caption>
            <tbody>
              {notches.map((n) => (
                <tr key={n.name}>
                  <th scope="row">{n.name}</th>
                  <td className={styles.measuredNumber}>notch {n.notch}</td>
                  <td>
                    {Math.abs(n.offDeg) < 0.5
                      ? 'exact'
                      : `${Math.abs(n.offDeg).toFixed(0)}° ${n.offDeg > 0 ? 'steeper' : 'flatter'}`}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </div>
    </SheetForm>
  );
}
