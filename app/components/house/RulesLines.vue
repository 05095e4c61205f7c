<script setup lang="ts">
import { departures, rulesCatalogue, sayDefault, sayRange, writeRule } from '~~/core/house'
import type { HouseRules, RuleGroup } from '~~/core/house'

/** The house rules line by line, a group at a time; `Departures` are those that differ from what is shipped. */
const props = defineProps<{
  rules: HouseRules
  /** Paths of the lines that differ from the version in force. */
  edited: ReadonlySet<string>
  locked: boolean
}>()
const emit = defineEmits<{ write: [rules: HouseRules]; problem: [path: string, said: string] }>()

const GROUPS: readonly RuleGroup[] = [
  'The bead',
  'Restarts and ends',
  'Grooves',
  'Undercut',
  'Angles and arc',
  'Current',
  'Moving up',
  'Pictures',
  'Ways',
]
const group = ref<RuleGroup | 'Departures'>('The bead')
const departed = computed(() => new Set(departures(props.rules).map(line => line.path)))
const lines = computed(() =>
  rulesCatalogue(props.rules).filter(line =>
    group.value === 'Departures' ? departed.value.has(line.path) : line.group === group.value,
  ),
)
</script>

<template>
  <nav class="groups" aria-label="Groups">
    <button v-for="one in GROUPS" :key="one" type="button" :aria-pressed="group === one" @click="group = one">
      {{ one }}
    </button>
    <button type="button" :aria-pressed="group === 'Departures'" @click="group = 'Departures'">
      Departures <b class="num">{{ departed.size }}</b>
    </button>
  </nav>
  <slot />
  <section class="panel lines" :aria-label="group">
    <p v-if="lines.length === 0" class="quiet none">This school departs from no default.</p>
    <div v-for="line in lines" :key="line.path" class="line" :class="{ edited: edited.has(line.path) }">
      <div>
        <h3>{{ line.name }}</h3>
        <p class="quiet">{{ line.why }}</p>
      </div>
      <RuleField
        :line="line"
        :rules="rules"
        :locked="locked"
        @write="emit('write', writeRule(rules, line.path, $event))"
        @problem="(path, said) => emit('problem', path, said)"
      />
      <p v-if="line.kind !== 'choice' || departed.has(line.path)" class="default quiet">
        <span v-if="line.kind !== 'choice'">{{ sayRange(line, rules.unit) }}</span><span v-if="departed.has(line.path)"
          ><span aria-hidden="true">◆</span> default {{ sayDefault(line, rules) ?? 'by the other school' }}</span
        >
      </p>
    </div>
    <div v-if="group === 'Current'" class="line own">
      <div>
        <h3>Own current windows</h3>
        <p class="quiet">Held to before practice and the published window.</p>
      </div>
      <WindowTable :rules="rules" :locked="locked" @write="emit('write', { ...rules, windows: $event })" />
    </div>
  </section>
</template>

<style scoped>
.groups {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.groups button {
  min-height: 44px;
  padding: 0 10px;
  border-radius: 10px;
  font-weight: 550;
}
.groups button[aria-pressed='true'] {
  background: rgb(var(--v-theme-on-surface));
  color: rgb(var(--v-theme-surface));
}
.lines {
  padding: 4px 18px;
}
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 330px);
  gap: 4px 22px;
  padding: 14px 0;
  border-bottom: 1px solid var(--line);
  align-items: center;
}
.line:last-child {
  border-bottom: 0;
}
.line.own {
  grid-template-columns: minmax(0, 1fr);
}
h3 {
  font-size: 1rem;
  font-weight: 650;
}
.edited h3::after {
  content: ' changed';
  color: rgb(var(--v-theme-primary));
  font-size: 0.85rem;
}
.default {
  grid-column: 1 / -1;
  font-size: 0.88rem;
  display: flex;
  gap: 4px 18px;
  flex-wrap: wrap;
}
.none {
  padding: 24px 0;
}
@media (max-width: 700px) {
  .line {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
