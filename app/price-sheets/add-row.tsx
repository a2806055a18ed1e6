import { ChoiceField } from '../components/choice-field';

interface AddRowProps<Value extends string> {
  label: string;
  placeholder: string;
  options: ReadonlyArray<{ value: Value; label: string }>;
  /** Plans of the sheet. */
  columns: number;
  onAdd(value: Value): void;
}

/** The last line of a section of a price sheet: chooses what else the page states. */
export function AddRow<Value extends string>({ label, placeholder, options, columns, onAdd }: AddRowProps<Value>) {
  return (
    <tr className="add-line">
      <th scope="row">
        <ChoiceField label={label} labelHidden value={undefined} placeholder={placeholder} options={options} onChange={onAdd} />
      </th>
      <td colSpan={columns + 1} />
    </tr>
  );
}
