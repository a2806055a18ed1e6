import { VERSION_NAMES } from '#core/forecast/versions';
import { useWorkbench } from './workbench-context';
import { versionSwitch as words } from './words/version-switch';

/** Which version of expected sales every screen shows. */
export function VersionSwitch() {
  const { version, setVersion } = useWorkbench();
  return (
    <fieldset className="version-switch">
      <legend className="visually-hidden">{words.expectedSalesWhichVersion}</legend>
      {VERSION_NAMES.map((name) => (
        <label key={name} className={name === version ? 'is-chosen' : ''}>
          <input type="radio" name="version" value={name} checked={name === version} onChange={() => setVersion(name)} />
          {name}
        </label>
      ))}
    </fieldset>
  );
}
