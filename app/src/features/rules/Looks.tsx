import { Choice } from '../../components/ui/Choice';
import { LOOKS, type Look, setLook, useLook } from '../../theme/palette';

const NAMES: Record<Look, string> = {
  device: 'as the device says',
  day: 'by day',
  evening: 'by evening',
  contrast: 'high contrast',
};

/** The colours on this device. */
export function Looks() {
  const look = useLook();
  return (
    <Choice
      label="Colours on this device"
      options={LOOKS.map((id) => ({ id, name: NAMES[id] }))}
      chosen={look}
      onChoose={setLook}
    />
  );
}
