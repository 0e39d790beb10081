'use client';
import { BellRing } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { words } from '@/wording/screens/timers/BellDialog';
import { useDevice } from '../device/useDevice';
import { hasVoice, noticeState, ring, shake, soundState, speak } from './bell';
import { bellSettings, type BellSettings } from './bellSettings';
import { canKeepScreenOn } from './useScreenOn';

/** How this device calls, tried out; and what this browser, or this connection, will not do, before it matters. */
export function BellDialog({ onClose }: { onClose: () => void }) {
  const [settings, change] = useDevice(bellSettings);
  const [state, setState] = useState(() => ({ notices: noticeState(), sound: soundState(), voice: hasVoice() }));
  const look = () => setState({ notices: noticeState(), sound: soundState(), voice: hasVoice() });
  useEffect(() => {
    // voices come a moment after the page
    if (typeof speechSynthesis === 'undefined') return undefined;
    speechSynthesis.addEventListener('voiceschanged', look);
    return () => speechSynthesis.removeEventListener('voiceschanged', look);
  }, []);
  const test = () => {
    ring('due', 0);
    shake();
    if (settings.spoken) speak(words.testSpoken);
    look();
  };
  const option = (key: keyof BellSettings, word: string, turned = false) => (
    <label className="flex min-h-12 items-center gap-3 text-lg">
      <input type="checkbox" className="size-6" checked={settings[key] !== turned} onChange={(event) => change({ [key]: event.target.checked !== turned })} />
      {word}
    </label>
  );
  const limits = [
    state.sound === 'none' && words.noSound,
    settings.spoken && !state.voice && words.noVoice,
    state.notices === 'insecure' && words.insecure,
    state.notices === 'refused' && words.refused,
    state.notices === 'none' && words.noNotices,
    !canKeepScreenOn() && words.screenGoesOff,
    words.closedIsSilent,
  ].filter((each) => each !== false);
  return (
    <Dialog onClose={onClose} title={words.theBell} hint={words.hint}>
      <Button look="now" size="bench" className="w-full" onClick={test}>
        <BellRing size={22} aria-hidden />
        {words.test}
      </Button>
      <div className="mt-3">
        {option('muted', words.rings, true)}
        {option('early', words.early)}
        {option('spoken', words.spoken)}
      </div>
      {state.notices === 'ask' && (
        <Button size="bench" className="mt-2 w-full" onClick={() => void Notification.requestPermission().then(look)}>
          {words.allowNotices}
        </Button>
      )}
      <ul className="mt-4 grid list-disc gap-1 border-t border-rule pt-3 pl-5 text-soft">
        {limits.map((each) => <li key={each}>{each}</li>)}
      </ul>
    </Dialog>
  );
} // prettier-ignore
