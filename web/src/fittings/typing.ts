import { ref } from 'vue';

/** Whether somebody is typing into a field just now. */
export function isTyping(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target instanceof HTMLInputElement) return !/^(checkbox|radio|button|submit)$/.test(target.type);
  return target.isContentEditable || /^(TEXTAREA|SELECT)$/.test(target.tagName);
}

/** Whether a figure is half typed in the capture bar: until it is taken or dropped, letters belong to it. */
export const captureTyping = ref(false);
