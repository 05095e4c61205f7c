<script setup lang="ts">
import { ALL_WELDED, sayQualified, WHO_DECIDES, type Qualified } from '~~/core/qualification'

/** What tests qualify together: positions as a table, everything else as sentences, each with where it is written. */
const props = defineProps<{ qualified: Qualified }>()
const rows = computed(() => {
  const { plateGroove, pipeGroove, fillet } = props.qualified.positions
  return [
    { name: 'Grooves in plate', letters: plateGroove },
    { name: 'Grooves in pipe', letters: pipeGroove },
    { name: 'Fillets', letters: fillet },
  ]
})
const NAMES = { F: 'flat', H: 'horizontal', V: 'vertical', O: 'overhead' } as const
const said = computed(() => sayQualified(props.qualified))
const places = computed(() => said.value.find(row => row.about === 'positions'))
const sentences = computed(() => said.value.filter(row => row.about !== 'positions'))
/** The sentences about positions once more, for who listens. */
const spoken = computed(() =>
  said.value
    .filter(row => row.about === 'positions')
    .map(row => row.text)
    .join('. '),
)
</script>

<template>
  <div class="qualifies">
    <table :aria-label="spoken">
      <thead>
        <tr>
          <th scope="col"><span class="sr-only">Weld</span></th>
          <th v-for="letter in ALL_WELDED" :key="letter" scope="col">{{ NAMES[letter] }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.name">
          <th scope="row">{{ row.name }}</th>
          <td v-for="letter in ALL_WELDED" :key="letter">
            <span v-if="row.letters.includes(letter)" class="yes"><span class="sr-only">yes</span></span
            ><span v-else class="no"><span class="sr-only">no</span></span>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="places" class="clause">
      {{ places.clause
      }}<b v-if="places.remembered !== 'sure' && places.remembered !== 'checked'">{{ places.remembered }}</b>
    </p>
    <ul>
      <li v-for="row in sentences" :key="row.text">
        <span>{{ row.text }}</span><small
          >{{ row.clause
          }}<b v-if="row.remembered !== 'sure' && row.remembered !== 'checked'">{{ row.remembered }}</b></small
        >
      </li>
    </ul>
    <p class="quiet">
      {{ qualified.book.name }}, {{ qualified.book.edition }}; from memory, check your copy. {{ WHO_DECIDES }}
    </p>
  </div>
</template>

<style scoped>
.qualifies {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  overflow-x: auto;
}
th,
td {
  padding: 5px 2px;
  font-weight: 400;
  text-align: center;
  border-top: 1px solid var(--line);
}
thead th {
  border-top: 0;
  color: var(--quiet);
  font-size: 0.78rem;
  font-weight: 600;
}
tbody th {
  text-align: left;
  font-weight: 550;
  white-space: nowrap;
  padding-left: 0;
}
.yes {
  display: inline-block;
  width: 16px;
  height: 16px;
  border-radius: 8px;
  background: var(--temper-blue);
  vertical-align: middle;
}
.no {
  display: inline-block;
  width: 12px;
  height: 2px;
  background: var(--quiet);
  opacity: 0.6;
  vertical-align: middle;
}
li {
  display: grid;
  padding: 5px 0;
  border-top: 1px solid var(--line);
}
small,
.clause {
  color: var(--quiet);
  font-size: 0.84rem;
}
small b,
.clause b {
  margin-left: 8px;
  font-weight: 650;
  color: var(--ink);
}
p.quiet {
  font-size: 0.86rem;
}
</style>
