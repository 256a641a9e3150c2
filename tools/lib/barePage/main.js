import { createApp, h } from 'vue';
import { createVuetify } from 'vuetify';
import { VApp, VBtn, VMain, VTextField } from 'vuetify/components';
import 'vuetify/styles';

/** As little as a page of Vuetify can be: a field, a button and a line of text, with none of Dauer's. */
const page = () =>
  h(VApp, () => h(VMain, () => [h('h1', 'A page and nothing else'), h(VTextField, { label: 'Name' }), h(VBtn, () => 'Go on')]));
createApp({ render: page }).use(createVuetify()).mount('#app');
