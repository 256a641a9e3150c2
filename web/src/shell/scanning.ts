import { ref } from 'vue';

/** Whether the camera looks for a tag. */
export const scanning = ref(false);

/** Whether this page may use a camera at all: over HTTPS, or on the machine itself. */
export const mayScan = (): boolean => window.isSecureContext && 'mediaDevices' in navigator;
