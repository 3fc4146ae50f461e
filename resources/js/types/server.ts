// Written by bin/types from the shapes in PHP. What is changed here by hand is lost.

export type ChainStatus = 'retired' | 'bare' | 'unwaxed' | 'oiled' | 'loud' | 'spent' | 'overtime' | 'wet' | 'unsure' | 'ridden' | 'waxed'

export type Condition = 'indoor' | 'dry' | 'dusty' | 'damp' | 'wet' | 'muddy'

export type ConversionStep = 'measure' | 'decide' | 'clean' | 'buy' | 'strip' | 'wax' | 'fit'

export type ConversionWay = 'keep' | 'new'

export type DripCleanSchool = 'water' | 'solvent'

export type DripManner = 'drops' | 'line'

export type GuidedKind = 'strip' | 'pot_day' | 'drip' | 'fit' | 'care'

export type ImportState = 'running' | 'stopped' | 'waiting' | 'done'

export type InstrumentKind = 'ruler' | 'drop_in' | 'digital'

export type JarAct = 'fill' | 'top_up' | 'settle' | 'decant' | 'filter' | 'hand_in'

export type JarRole = 'dirty' | 'clean' | 'waste'

export type JobEventKind = 'done' | 'again' | 'pause' | 'resume' | 'longer' | 'sign' | 'skip' | 'back' | 'note'

export type LimitSchool = 'strict' | 'by_speeds' | 'one_mark' | 'digital'

export type Load = 'greased' | 'oiled' | 'factory_waxed' | 'used_wax' | 'fresh_wax'

export type MoveKind = 'shake' | 'rest' | 'brush'

export type NextKind = 'bare' | 'job' | 'wet' | 'wet_past' | 'overdue' | 'unsure' | 'outrun' | 'event_dip' | 'planned_pot' | 'planned_drip' | 'unmet' | 'evening' | 'chores' | 'convert' | 'strip' | 'deep_clean' | 'worn' | 'measure' | 'buy' | 'no_chain' | 'no_bike' | 'wipe' | 'rides_in' | 'jar_spent' | 'jar_settled' | 'bath' | 'commute'

export type NextPart = 'now' | 'bench' | 'any_day'

export type PartKind = 'cassette' | 'ring' | 'jockey_wheels' | 'quick_link'

export type PotRefusal = 'retired' | 'worn' | 'measure' | 'never_measured' | 'greased' | 'oiled'

export type PromiseKind = 'good_until' | 'wear' | 'week' | 'plan' | 'ear' | 'heat' | 'bath' | 'bottle'

export type RinseSchool = 'straight' | 'hot_water' | 'two_jars'

export type Role = 'owner' | 'member' | 'viewer'

export type Slot = 'chain' | 'cassette' | 'ring' | 'jockey_wheels' | 'trainer'

export type Solvent = 'white_spirit' | 'methylated_spirit' | 'isopropyl_alcohol' | 'acetone' | 'petrol' | 'lamp_oil' | 'degreaser' | 'soapy_water' | 'water'

export type StepDrawing = 'route' | 'route_single' | 'inner_ends' | 'pin_ends' | 'direction' | 'teeth' | 'box' | 'sprockets' | 'flat'

export type StepKind = 'bath' | 'ultrasonic' | 'sieve' | 'scrub' | 'hot_water' | 'rinse' | 'wipe' | 'hang' | 'dry' | 'blow_dry'

export type Supply = 'chain' | 'cassette' | 'ring' | 'jockey_wheels' | 'quick_link' | 'wax' | 'drip_wax' | 'white_spirit' | 'methylated_spirit' | 'isopropyl_alcohol' | 'acetone' | 'petrol' | 'lamp_oil' | 'degreaser'

export type Verb = 'wet' | 'pot_day' | 'topup' | 'wipe' | 'swap' | 'convert' | 'strip' | 'retire' | 'fit' | 'choose_bike' | 'confirm' | 'measure' | 'add' | 'look' | 'go' | 'ahead' | 'jar'

export type WaxThen = 'known' | 'unknown' | 'none'

export type WearVerdict = 'keep' | 'measure' | 'retire'

export type WetWay = 'swap' | 'dip' | 'topup'

export interface ArrivePage {
  bike: { id: number; name: string; letters: string[]; free: boolean } | null
  interval: string
  kinds: Choice[]
  forms: FormDefaults
}

export interface BenchWork {
  what: 'strip' | 'drip' | 'brush' | 'convert'
  title: string
  text: string
  choices: { title: string; text: string; href: string; due: boolean }[]
}

export interface BikePage {
  bike: number | null
  values: {
    name: string
    rider: string
    kind: string
    speeds: number
    brakes: string
    interval: string
    interval_hours: number | null
    limit_school: LimitSchool
    by_ear: boolean
    drip_only: boolean
    week_summer: string
    week_winter: string
    chains_wanted: string
    target_life: string
  }
  parts: PartOnBike[]
  drawer: PartInDrawer[]
  partKinds: { value: PartKind; title: string }[]
  converts: boolean
  deepFirst: boolean
  brushed: string
  commutes: CommuteLine[]
  ridden: string
  weekdays: { value: number; title: string }[]
  forms: FormDefaults
  kinds: Choice[]
  riders: string[]
  brakes: Choice[]
  schools: { value: string; title: string; reason: string }[]
}

export interface BottleView {
  left: string
  about: string
  id: number
  name: string
  share: number
  price: string
  unused: boolean
  values: { volume: string; left: string; opened: string; price: string }
}

export interface BrokenPromise {
  when: string
  text: string
  why: string
}

export interface CalendarView {
  months: string[]
  days: string[]
  firstDay: number
  twelveHours: boolean
  today: string
  nowS: number
  zone: string
  words: { today: string; tomorrow: string; yesterday: string }
}

export interface ChainKnown {
  load: Load
  joint: string
  directional: boolean
  mass: string
  drip_interval: string
  price: string
  bought_on: string
  event: string
  event_on: string
  dipped_after: string
  half_link: boolean
}

export interface ChainPage {
  chain: ChainView
  forPot: PotChain
  bike: { id: number; name: string } | null
  on: number | null
  retired: boolean
  foreseen: boolean
  story: { name: string; value: string }[]
  pots: PotView[]
  outlook: string[] | null
  facts: [{ name: string; value: string; why: string }, { name: string; value: string; why: null }, { name: string; value: string; why: string | null }, { name: string; value: string; why: null }, { name: string; value: string; why: null }]
  opening: OpeningView | null
  link: LinkOfChain | null
  why: WhyView[]
  timeline: TimelineView
  edit: {
    label: string
    speeds: string
    pitches: string
    bike_id: number | null
    load: Load
    joint: string
    directional: boolean
    mass: string
    drip_interval: string
    price: string
    bought_on: string
    event: string
    event_on: string
    dipped_after: string
    half_link: boolean
  }
  units: { mass: string; currency: string }
  about: { name: string; value: string }[]
  job: string | null
  forms: FormDefaults
}

export interface ChainView {
  id: number
  label: string
  name: string
  coat: number
  status: ChainStatus
  directional: boolean
  word: string
  detail: string
  job: string | null
  late: boolean
  ready: boolean
  wantsDip: boolean
  dripOnly: boolean
  topUpCounts: boolean
  worn: boolean
  waxed: boolean
  unsure: boolean
  greasy: boolean
  leftKm: number
  left: string
  alsoLeft: string
  wear: WearView
  wearLine: string
  fit: { note: string; forbids: boolean; text: string }[]
  links: number[]
}

export interface ChangedChain {
  chain: string
  lines: { name: string; before: string; after: string }[]
}

export interface ChartAxisView {
  title: string
  from: number
  to: number
  ticks: { at: number; text: string }[]
}

export interface ChartLineView {
  name: string
  kind: 'line' | 'step' | 'dots' | 'bars'
  points: { x: number; y: number; low: number | null; high: number | null; text: string | null }[]
}

export interface ChartMark {
  at: number
  text: string
}

export interface ChartView {
  title: string
  x: ChartAxisView
  y: ChartAxisView
  lines: ChartLineView[]
  levels: ChartMark[]
  moments: ChartMark[]
  zone: { from: number; to: number; text: string } | null
  stretch: { y: number; from: number; to: number } | null
  span: { from: number; to: number; text: string } | null
  columns: string[]
  rows: { x: number; cells: string[] }[]
}

export interface Choice {
  value: string
  title: string
}

export interface CommandAnswer {
  sentence: string | null
  problem: string | null
  guess: string | null
  chains: ChangedChain[]
  cautions: string[]
  examples: string[]
  next: { title: string; text: string }[]
  places: Place[]
}

export interface CommuteLine {
  id: number
  text: string
  values: CommuteValues
}

export interface CommuteValues {
  weekdays: number[]
  time: string
  distance: string
  hours: string
  condition: Condition
  from: string
  until: string
}

export interface ComparedAll {
  best: number[]
  against: string
  differences: string[]
  bike: { id: number; name: string; rate: string } | null
  notes: string[]
}

export interface ComparedPart {
  done: number
  of: number
  at: number | null
  row: ComparedRow | null
  all: ComparedAll | null
  economy: Economy | null
}

export interface ComparedRow {
  name: string
  figures: {
    life: string
    bought: string
    cassettes: string
    pot_days: string
    topups: string
    hours: string
    wax: string
    solvents: string
    money: string
    per: string
  }
  forced: number
  rough: boolean
  weeks: string[]
}

export interface ConflictPage {
  seen: ConflictVersion
  current: ConflictVersion | null
  by: string | null
  wanted: Record<string, unknown>
  yours: string
  deleting: boolean
  again: { method: 'put' | 'post' | 'delete'; url: string } | null
}

export interface ConflictVersion {
  id: number
  day: string
  time: string | null
  bikeName?: string
  km?: string
  hours?: string | null
  conditionName?: string
}

export interface ConversionLine {
  step: ConversionStep
  title: string
  text: string
  done: boolean
  now: boolean
  href: string | null
  verb: string | null
}

export interface ConversionPage {
  bike: number
  title: string
  lead: string
  over: boolean
  steps: ConversionLine[]
  ways: { way: ConversionWay; title: string; text: string; proposed: boolean; chosen: boolean }[]
  chain: number | null
  forms: FormDefaults
}

export interface CycleView {
  key: string
  title: string
  text: string
  share: number
  loud: boolean
  open: boolean
  entries: TimelineEntryView[]
}

export interface DeviceView {
  id: number
  name: string
  seen: string
}

export interface DisplayBike {
  id: number
  name: string
  fitted: number | null
  hanging: number[]
  weekly_km: number
}

export interface DisplayChain {
  id: number
  name: string
  bike: number | null
  fitted: boolean
  status: string
  km: number
  km_whole: boolean
  wax_left_effective_km: number
  coat: number
  wear_pct: { mean: number; p10: number; p90: number } | null
  limit_pct: number
}

export interface DisplayChains {
  as_of: string
  chains: DisplayChain[]
}

export interface DisplayItem {
  kind: string
  title: string
  text: string
  bike: number | null
  chains: number[]
  by: string | null
  urgent: boolean
  minutes: number
}

export interface DisplayNext {
  as_of: string
  items: DisplayItem[]
}

export interface DisplayOutlook {
  as_of: string
  feasible: boolean
  all_waxed_probability: number | null
  pot_days: { date: string; chains: number[] }[]
  swaps: { date: string; bike: number; off: number; on: number }[]
  top_ups: { date: string; chain: number }[]
}

export interface DisplayShed {
  as_of: string
  bikes: DisplayBike[]
}

export interface DoneView {
  text: string
  undo: string | null
  key: string
}

export interface DripPlan {
  lines: string[]
  steps: { title: string; time: string }[]
}

export interface DripPlanPage {
  chain: { id: number; name: string; topUpCounts: boolean }
  proposed: {
    place: 'on_bike' | 'in_box'
    washed: boolean
    warmed: boolean
    coats: number
    excess: 'wipe' | 'leave'
    manner: DripManner
    box_mm: string
  }
  places: Choice[]
  manners: Choice[]
  schools: Choice[]
  bottles: { value: number; title: string }[]
  forms: FormDefaults
}

export interface EarAdvice {
  text: string
  reason: string
  now: string
  open: boolean
}

export interface EarView {
  sentences: string[]
  cycles: { share: number; loud: boolean; open: boolean; text: string }[]
  interval: number
  intervalText: string
  farText: string
  chart: ChartView
}

export interface Economy {
  text: string
  chart: ChartView
}

export interface EntryLine {
  id: number
  day: string
  text: string
}

export interface EstimateValues {
  distance: string
  from: string
  to: string
  condition: string
}

export interface ExpectedLife {
  points: { interval: string; life: string; text: string }[]
  house: boolean
  own: string
}

export interface FactorOfferView {
  condition: Condition
  text: string
  why: string
  take: string
}

export interface ForecastView {
  sentences: string[]
  why: string
  verdict: WearVerdict
  chart: ChartView
}

export interface FormDefaults {
  date: string
  time: string
  massUnit: string
  bikes: {
    id: number
    name: string
    chain: string | null
    chainId: number | null
    since: { date: string; time: string } | null
    chains: { id: number; label: string }[]
    pace: string
    untimed: string
    rideTime: string
  }[]
  conditions: { value: string; title: string; note: string }[]
  instruments: InstrumentView[]
  pitchesHint: string
  bottles: { value: number; title: string }[]
  topUp: string
}

export interface GaugePage {
  bikes: WornBike[]
  instruments: KeptInstrument[]
  gauges: { id: number; name: string }[]
  expected: ExpectedLife
  learned: LearnedView | null
  forms: FormDefaults
  unit: string
}

export interface GradeView {
  kind: PromiseKind
  name: string
  text: string
  share: string | null
  kept: string
  band: { low: number; high: number; at: number; promised: number | null } | null
  sentences: string[]
}

export interface HeatView {
  lines: string[]
  warnings: string[]
  chart: ChartView
}

export interface HelpPage {
  loop: HelpText[]
  words: { title: string; words: HelpText[] }[]
  figures: { title: string; formula: string; source: string }[]
  more: HelpText[]
  safety: string[]
}

export interface HelpText {
  key: string
  title: string
  text: string
}

export interface HereView {
  person: string
  role: Role
  mayWrite: boolean
  workshop: string
  demo: boolean
  revision: number
  distanceUnit: string
  currency: string
  calendar: CalendarView
  stay: string
  whose: 'mine' | 'all' | null
}

export interface HistoryLine {
  id: string
  sentence: string
  who: string
  when: string
  undone: boolean
  stays: boolean
}

export interface HistoryPage {
  actions: HistoryLine[]
  page: number
  more: boolean
  months: { value: string; title: string }[]
  search: SearchView
  bikes: { value: number; title: string }[]
  chains: { value: number; title: string }[]
}

export interface HowRightPage {
  how?: HowRightView
  replay?: ReplayView | null
}

export interface HowRightView {
  intro: string
  grades: GradeView[]
  chart: ChartView | null
  worst: BrokenPromise[]
  margin: MarginView | null
  pots: PotFitView[]
  factors: FactorOfferView[]
  answers: string[]
}

export interface InstrumentView {
  id: number | null
  kind: InstrumentKind
  name: string
  about: string
  marks: string[]
  pitches: number
  zero: string
}

export interface JarHazard {
  signal: string | null
  text: string
  by: string
  jars: string
}

export interface JarLedger {
  id: number
  name: string
  holds: string
  entries: EntryLine[]
}

export interface JarOutOfUse {
  id: number
  name: string
  role: JarRole
  unused: boolean
}

export interface JarView {
  id: number
  name: string
  role: JarRole
  roleName: string
  holds: string
  empty: boolean
  since: string
  done: number
  allowed: number | null
  cleanings: string
  because: string
  grease: string
  spent: string | null
  settling: string | null
  inJob: string | null
  signal: string | null
  unused: boolean
  volume: string
  acts: { value: JarAct; title: string; volume: boolean }[]
}

export interface JobFixed {
  dripOnly?: boolean
  stretches?: JobStretch[]
  pot?: { id: number; name: string }
  aboutPot?: string
  planned?: string
  alsoNeeds?: string[]
}

export interface JobLive {
  axis?: TimeAxis
  bath?: PotDayBath
  dips?: RecordedDip[]
  split?: RiderShareView[]
  residues?: ResidueView[] | null
}

export interface JobNow {
  position: number
  step: number
  round: number
  seconds: number | null
  gone: number
  paused: boolean
  signed: boolean
}

export interface JobStateView {
  now: number
  turns: JobTurnView[]
  ahead: number[]
  current: JobNow | null
  begun: boolean
  ended: boolean
  givenUp: boolean
  about: string
  notes: string[]
  recorded: { text: string; undone: boolean } | null
  axis?: TimeAxis
  bath?: PotDayBath
  dips?: RecordedDip[]
  split?: RiderShareView[]
  residues?: ResidueView[] | null
}

export interface JobStepView {
  code: string
  seconds: number | null
  againFrom: number | null
  since: number | null
  holds: boolean
  sign: string | null
  skippable: boolean
  asks: Choice[]
  leavable: boolean
  liquid: boolean
  readingC: [number, number] | null
  reading: string
  drawing: StepDrawing | null
  chains: { id: number; name: string }[]
  ticks: { key: string; text: string }[]
  time: string
  title: string
  text: string
  again: { title: string; text: string } | null
  cautions: string[]
  subject: string
  question: { yes: string; no: string } | null
}

export interface JobStepWords {
  title: string
  text: string
  again: { title: string; text: string } | null
  cautions: string[]
  subject: string
  question: { yes: string; no: string } | null
}

export interface JobStretch {
  key: string
  text: string
  time: string
  steps: number[]
}

export interface JobTurnView {
  position: number
  step: number
  round: number
  answer: JobEventKind | null
  end: number | null
}

export interface JobView {
  id: string
  kind: GuidedKind
  title: string
  chains: string[]
  chainIds: number[]
  speed: number
  units: { temperature: string; mass: string }
  steps: JobStepView[]
  layout: string[]
  dripOnly?: boolean
  stretches?: { key: string; text: string; time: string; steps: number[] }[]
  pot?: { id: number; name: string }
  aboutPot?: string
  planned?: string
  alsoNeeds?: string[]
  now: number
  turns: JobTurnView[]
  ahead: number[]
  current: JobNow | null
  begun: boolean
  ended: boolean
  givenUp: boolean
  about: string
  notes: string[]
  recorded: { text: string; undone: boolean } | null
  axis?: TimeAxis
  bath?: PotDayBath
  dips?: RecordedDip[]
  split?: RiderShareView[]
  residues?: ResidueView[] | null
}

export interface KeepView {
  backup: { text: string; old: boolean } | null
  verified: string
  displays: DeviceView[]
  tables: string[]
}

export interface KeptInstrument {
  uncertainty: string
  marks_text: string
  unused: boolean
  id: number | null
  kind: InstrumentKind
  name: string
  about: string
  marks: string[]
  pitches: number
  zero: string
}

export interface LabelsPage {
  tags: { id: number; letter: string; bike: string; about: string; url: string }[]
  bikes: { id: number; name: string; interval: string; limit: string; letters: string[] }[]
  reachable: boolean
}

export interface LaneDayView {
  before: number
  after: number
  ride: number
  swap: string | null
  drip: string | null
  pot: boolean
  kept: string | null
  measure: string | null
  broken: boolean
  text: string
}

export interface LearnedMinutesView {
  texts: string[]
  fixed: string
  dip: string
  batch: string
  swap: string
  strip: string
}

export interface LearnedRow {
  condition: Condition
  name: string
  now: string
  learned: string
  band: { low: number; high: number; at: number; now: number }
  text: string
  offer: string | null
}

export interface LearnedView {
  text: string
  rows: LearnedRow[]
}

export interface LinkInDrawer {
  id: number
  name: string
  about: string
  price: string
}

export interface LinkOfChain {
  figure: string
  usedUp: boolean
  opening: OpeningView | null
}

export interface Loop {
  chainstay: number
  front: number
  rear: number
  rearX: number
  rearY: number
  frontX: number
  frontY: number
}

export interface MarginView {
  text: string
  why: string
  take: string
}

export interface Meaning {
  reads: string
  agree: string | null
  uneven: boolean
  verdict: WearVerdict
  sentences: string[]
  why: string | null
  unlikely: string | null
  wear: WearView
}

export interface MoneyChain {
  id: number
  name: string
  km: string
  total: string
  used: boolean
  per: string
}

export interface MoneyChart {
  text: string
  chart: ChartView
}

export interface MoneyPage {
  kinds: string[]
  all: MoneyRow
  years: MoneyRow[]
  bikes: MoneyRow[]
  riders: MoneyRow[]
  chains: MoneyChain[]
  sort: string
  beside: { name: string; total: string }[]
  unpriced: string
  chart: MoneyChart | null
  months: ChartView | null
  plain: PlainDripTerms
  work: { hour: string; text: string }
}

export interface MoneyRow {
  name: string
  kinds: string[]
  total: string
  km: string
  per: string
}

export interface NewChainPage {
  bike: number | null
  defaults: { bike: number; label: string; speeds: number; pitches: number | null; canFit: boolean }[]
  units: { mass: string; currency: string }
  forms: FormDefaults
}

export interface NextLine {
  part: NextPart
  line: NextStep
  steps: NextStep[]
}

export interface NextStep {
  key: string
  kind: NextKind
  day: string
  hour: string
  late: boolean
  title: string
  reason: string
  job: string | null
  jar: number | null
  urgent: boolean
  verb: Verb | null
  verbText: string | null
  bike: number | null
  chains: number[]
  subject: string
  swapTo: number | null
  date: string | null
  time: string | null
  rides: number[]
  days: { commute: number | null; date: string | null }[]
}

export interface NotKeptPage {
  pages: { url: string; title: string }[]
}

export interface OddWeekView {
  bike: number
  monday: string
  text: string
  out: boolean
}

export interface OpeningView {
  id: number
  of: string
  date: string
  time: string
  km: string
  wax: WaxThen
  since_wax: string
  closings: string
}

export interface PartInBooks {
  outlived: string | null
  chains: number
  least: number
  most: number
  warning: string | null
  teeth: string | null
  id: number
  name: string
  where: string
  km: string
  price: string
}

export interface PartInDrawer {
  id: number
  name: string
  km: string
}

export interface PartOnBike {
  outlived: string | null
  chains: number
  least: number
  most: number
  warning: string | null
  teeth: string | null
  id: number
  name: string
  slot: Slot | null
  km: string
  opening: OpeningView | null
}

export interface PartWearView {
  outlived: string | null
  chains: number
  least: number
  most: number
  teeth: string | null
  warning: string | null
}

export interface PartsPage {
  parts: PartInBooks[]
}

export interface PartsTablePage {
  columns: string[]
  text: string | null
  problem: string | null
  ready: boolean
  rows: { line: number; cells: string[]; errors: { column: string; text: string }[]; newBike: boolean }[]
}

export interface PasskeysView {
  fits: boolean
  list: { id: number; phone: boolean; text: string }[]
}

export interface PeopleView {
  people: PersonView[]
  workshops: { id: number; name: string; role: string; here: boolean }[]
  opensWorkshops: boolean
  devices: { id: number; phone: boolean; here: boolean; address: string; seen: string }[]
  passkeys: PasskeysView | null
  invitations: { id: number; role: string; until: string }[]
}

export interface PersonView {
  id: number
  me: boolean
  owner: boolean
  roleValue: 'owner' | 'member' | 'viewer'
  name: string
  email: string
  role: string
}

export interface Place {
  title: string
  what: string
  href: string
}

export interface PlainDripTerms {
  as_wax: string
  every: string
  lives: string
}

export interface PlanChange {
  kind: 'pinned' | 'forbidden' | 'not_on'
  date: string
  chain: number | null
  text: string
}

export interface PlanDay {
  date: string
  potDate: string
  label: string
  weekend: boolean
  allowed: boolean
}

export interface PlanLane {
  bike: number
  name: string
  about: string
  days: LaneDayView[]
}

export interface PlanPage {
  weeks: number
  mostWeeks: number
  plan: PlanView
  changes: PlanChange[]
  remedies: { title: string; does: string; good: boolean; dates: string[] }[]
  terms: PlanTermsView
  weekdays: { value: number; title: string }[]
  rides: PlannedRideView[]
  oddWeeks: OddWeekView[]
  wetDays: WetDayView[]
  calendar: boolean
  forms: FormDefaults
  shopping?: ToBuy[]
  sure?: string
  learned?: LearnedMinutesView | null
  passed?: string
}

export interface PlanPot {
  date: string
  label: string
  text: string
  chains: PlanPotChain[]
  pinned: boolean
  accepted: boolean
  minutes: number
  week: string[]
}

export interface PlanPotChain {
  id: number
  name: string
  why: string
}

export interface PlanTermsView {
  weekdays: number[]
  pot_time: 'evening' | 'morning'
  fixed: string
  dip: string
  batch: string
  swap: string
  topup: string
  strip: string
  margin: string
  hours: string
  pots: { pot_id: number; name: string; at_once: string }[]
}

export interface PlanView {
  headline: string
  about: string
  whole: boolean
  change: string
  sure: string
  broken: string[]
  doubts: string[]
  pots: PlanPot[]
  days: PlanDay[]
  lanes: PlanLane[]
  wanted: PlanWanted
}

export interface PlanWanted {
  pinned: string[]
  forbidden: string[]
  not_on: { chain_id: number; date: string }[]
}

export interface PlannedBath {
  solvent: string
  takes: string
  untilClear: boolean
  left: string
  jar: number | null
  into: number | null
  stocked: boolean
  from: { value: number | null; title: string; disabled: boolean }[]
  intoChoices: { value: number | null; title: string }[]
}

export interface PlannedRideView {
  id: number
  text: string
  tag: string
  first: number | null
  last: number
  off: boolean
}

export interface PotChain {
  id: number
  name: string
  word: string
  detail: string
  rinse: boolean
  rust: boolean
  proposed: boolean
}

export interface PotChoice {
  id: number
  name: string
  empty: boolean
  about: string
  target: string
  limit: string
}

export interface PotChoices {
  kinds: Choice[]
  waxes: Choice[]
  lays: Choice[]
}

export interface PotDayBath {
  text: string
  since: string
  expected: string
  over: string | null
  melted: boolean
  solid: string | null
  solidUntil: number | null
  chart: ChartView
}

export interface PotDayChain {
  id: number
  name: string
  word: string
  detail: string
  onBike: boolean
  first: boolean
  waxed: boolean
  rinse: RinseSchool
  refusal: { code: PotRefusal; text: string; remedy: Verb | null } | null
  proposed: boolean
}

export interface PotDayPage {
  chains: PotDayChain[]
  chosen: number[]
  pots: PotChoice[]
  choices: { program: Choice[]; soak: Choice[]; drain: Choice[]; rinse: Choice[]; dryBy: Choice[] }
  room: string
  temperature: string
  forms: FormDefaults
}

export interface PotDayPlanView {
  lines: string[]
  layout: string[]
  care: string | null
  steps: { at: string; title: string; text: string; subject: string; lasts: string }[]
  dips: { id: number; chain: string; brings: string; batch: number; soak: string; because: string; shock: string }[]
  warnings: { text: string; forbids: boolean }[]
  unmeasured: string | null
  later: boolean
  forbidden: boolean
  powerSaid: boolean
  target: string
  axis: TimeAxis
  bath: ChartView
  split: RiderShareView[]
}

export interface PotFields {
  name: string
  kind: string
  diameter: string
  height: string
  low: string
  high: string
  wax: string
  flash: string
  lay: string
  at_once: string
  for_races: boolean
}

export interface PotFitView {
  pot: number
  text: string
  why: string
  take: string
}

export interface PotLedger {
  id: number
  name: string
  about: string
  holds: string
  wax: ChartView | null
  dirt: ChartView | null
  entries: EntryLine[]
}

export interface PotOnShelf {
  cost: string
  smear: string
  calibrated: string
  isCalibrated: boolean
  fields: PotFields
  unused: boolean
  probes: DeviceView[]
  heatUps: Choice[]
  acts: { value: 'reading' | 'remove' | 'filter' | 'top_up' | 'fill'; title: string }[]
  id: number
  name: string
  about: string
  caution: string
  empty: boolean
  level: number
  coil: number
  holds: string
  problem: boolean
  since: string
  left: string
  oil: string
  grit: string
  gritShare: number
  max: string
  next: string
  late: boolean
}

export interface PotOutOfUse {
  id: number
  name: string
  about: string
  unused: boolean
  fields: PotFields
}

export interface PotPage {
  evening: NextLine[]
  wall: PotWall
  works: BenchWork[]
  pots: PotOnShelf[]
  potsOutOfUse: PotOutOfUse[]
  potChoices: PotChoices
  jars: JarView[]
  jarsOutOfUse: JarOutOfUse[]
  hazards: JarHazard[]
  solvents: SolventChoice[]
  roles: Choice[]
  units: { mass: string; temperature: string }
  forms: FormDefaults
}

export interface PotView {
  id: number
  name: string
  about: string
  caution: string
  empty: boolean
  level: number
  coil: number
  holds: string
  problem: boolean
  since: string
  left: string
  oil: string
  grit: string
  gritShare: number
  max: string
  next: string
  late: boolean
}

export interface PotWall {
  chains: PotChain[]
  solventOut: boolean
  pots: PotView[]
}

export interface PriceLine {
  id: number
  supply: string
  amount: string
  quantity: string
  from: string
  values: { supply: Supply; amount: string; quantity: string; date: string }
}

export interface ProtocolCardPage {
  name: string
  takes: string
  before: string[]
  lines: string[]
  after: string[]
  layout: string[]
  left: string
  hazards: { solvent: string; text: string }[]
  cautions: string[]
  notAdvised: string | null
}

export interface ProtocolChoice {
  code: string
  name: string
  reason: string
  takes: string
  lines: string[]
  advised: boolean
  dripOnly: boolean
  own: number | null
  solvents: { value: Solvent; title: string }[]
}

export interface ProtocolPage {
  code: string
  own: number | null
  name: string
  steps: {
    kind: string
    solvent?: string
    volume_ml?: number
    moves?: { kind: string; seconds: number }[]
    until_clear?: boolean
    seconds?: number
    water_parts?: number
  }[]
  dripOnly: boolean
  kinds: StepKind[]
  bathKinds: StepKind[]
  moveKinds: MoveKind[]
  solvents: Choice[]
}

export interface RailView {
  id: number
  name: string
  rider: string | null
  about: string
  fitted: ChainView | null
  leftNumber: string | null
  leftWords: string
  alsoLeft: string
  until: { before: string; stressed: string; after: string; due: boolean }
  hanging: ChainView[]
  offNote: string | null
  geared: boolean
  best: number | null
  today: boolean
}

export interface RecordedDip {
  id: number
  chain: string
  date: string
  time: string
  soak: string
  temp: string
  pickup: string
  rinsed: boolean
}

export interface ReplayView {
  text: string
  columns: string[]
  rows: { name: string; cells: string[] }[]
}

export interface ResidueView {
  name: string
  share: number
  text: string
  seen: string | null
  done: boolean
}

export interface Retiring {
  life: { name: string; value: string }[]
  on: string | null
  left: string | null
  few: boolean
  bike: number | null
}

export interface RideImportView {
  id: string
  name: string
  state: ImportState
  done: number
  total: number
  text: string
  failures: string[]
}

export interface RidePage {
  strip: StripDay[]
  rides: RideView[]
  found: string
  months: { value: string; title: string }[]
  chains: { value: number; title: string }[]
  search: SearchView
  page: number
  pages: number
  bike: number | null
  uploadMegabytes: number
  waiting: string
  inbox: { folder: string; devices: DeviceView[] }
  wetter: WetterRideView[]
  forms: FormDefaults
}

export interface RideTablePage {
  import: { id: string; name: string; rows: string }
  header: { value: number; title: string }[]
  sample: string[][]
  columns: { value: string; title: string; needed: boolean }[]
  proposed: { at: Record<string, number>; distance: string; duration: string; day_first: boolean; remembered: boolean }
  units: { distance: Choice[]; duration: Choice[] }
}

export interface RideTablePreview {
  rides: string[]
  count: string
  faults: string[]
  faulty: string
}

export interface RideView {
  id: number
  day: string
  date: string
  time: string | null
  clock: string
  bike: number | null
  bikeName: string
  estimated: boolean
  guess: { values: EstimateValues | null; estimate: number | null; commute: number | null; date: string } | null
  km: string
  distance: string
  hours: string | null
  hoursText: string
  condition: Condition
  conditionName: string
  soaked: boolean
  chain: { id: number; name: string } | null
  left: string | null
}

export interface RiderShareView {
  rider: string
  chains: string
  wax: string
  time: string
  money: string
}

export interface SearchView {
  text: string
  bike: number | null
  chain: number | null
  condition: string
  from: string
  to: string
  sort: string
}

export interface SettingsPage {
  values: SettingsValues
  factors: { value: string; name: string; house: boolean }[]
  choices: {
    zones: string[]
    distance: Choice[]
    temperature: Choice[]
    mass: Choice[]
    clocks: Choice[]
    firstDays: Choice[]
    currencies: Choice[]
    languages: Choice[]
    schools: { value: string; title: string; reason: string }[]
    ready: Choice[]
    excess: Choice[]
    dripClean: Choice[]
    weather: Choice[]
    intervals: { value: string; title: string; reason: string }[]
  }
  lan: string | null
  rain?: string
  bikes?: { id: number; name: string; interval: string; limit: string }[]
  people?: PeopleView
  keep?: KeepView
}

export interface SettingsValues {
  name: string
  time_zone: string
  distance_unit: string
  temperature_unit: string
  mass_unit: string
  clock: string
  first_day: string
  currency: string
  language: string
  interval: string
  limit_school: 'strict' | 'by_speeds' | 'one_mark' | 'digital'
  ready_school: 'cold' | 'next_day'
  topups_most: string
  drip_dry_hours: string
  excess_school: 'wipe' | 'leave'
  drip_clean: DripCleanSchool
  wipe_rides: string
  weather: string
  factors: Record<string, string>
}

export interface ShedPage {
  spares: SpareLink[]
  rails: RailView[]
  next: NextLine[]
  pot: PotWall
  forms: FormDefaults
}

export interface SizeAnswer {
  pitches: number
  cut: string
  lines: string[]
  loop: Loop | null
}

export interface SolventChoice {
  value: Solvent
  title: string
  hazard: string
}

export interface SpareLink {
  id: number
  title: string
}

export interface StockPage {
  bottles: BottleView[]
  prices: PriceLine[]
  links: LinkInDrawer[]
  supplies: SupplyChoice[]
  currency: string
  today: string
}

export interface StripChain {
  id: number
  name: string
  load: string
  onBike: boolean
}

export interface StripDay {
  date: string
  weekday: string
  number: string
  name: string
  weekend: boolean
  total: string | null
  bars: { share: number; soaked: boolean; estimated: boolean; text: string }[]
}

export interface StripPlanPage {
  chains: StripChain[]
  chosen: number[]
  usual: string
  protocols: ProtocolChoice[]
  notAdvised: string
  massUnit: string
}

export interface StripPlanView {
  start: string
  baths: PlannedBath[]
  hazards: { solvent: string; text: string }[]
  lines: string[]
  warnings: string[]
  advised: boolean
  asks: { field: 'unmeasured' | 'fresh_wax'; text: string }[]
  offers: { school: string | null; href: string | null; text: string }[]
}

export interface SupplyChoice {
  value: string
  title: string
  unit: string
  usual: '1' | '1000'
}

export interface TagPage {
  chain: ChainView
  forPot: PotChain
  bike: { id: number; name: string } | null
  on: boolean
  retired: boolean
  pots: PotView[]
  forms: FormDefaults
}

export interface TimeAxis {
  from: number
  until: number
  now: number | null
  nowText: string
  marks: { at: number; text: string }[]
  lanes: {
    name: string
    blocks: { code: string; text: string; title: string; from: number; to: number; state: 'done' | 'now' | 'ahead' }[]
  }[]
}

export interface TimelineEntryView {
  type: string
  id: number | null
  day: string
  time: string | null
  date: string
  clock: string
  text: string
  left?: string | null
}

export interface TimelineView {
  cycles: CycleView[]
  interval: number | null
  intervalText: string
  far: string
  more: number
}

export interface ToBuy {
  what: string
  by: string
  why: string
  cost: string
  soon: boolean
}

export interface TrackPage {
  track: {
    id: string
    name: string
    start: string | null
    km: string
    moving: string | null
    elapsed: string | null
    extent: string
  }
  bike: number | null
  condition: Condition
  outcomes: { chain: string | null; coat: number | null; text: string; bike: number }[]
  same: string | null
  overlap: string | null
  forms: FormDefaults
}

export interface TracksPage {
  tracks: WaitingTrack[]
  count: number
  imports: RideImportView[]
  most: number
  bikes: { value: number; title: string }[]
  conditions: Choice[]
}

export interface TrustPage {
  root: string | null
  print: string
}

export interface UndoPage {
  action: HistoryLine
  also: HistoryLine[]
  changes: { chain: string; lines: { name: string; before: string; after: string }[] }[]
}

export interface WaitingTrack {
  id: string
  name: string
  start: string
  km: string
  moving: string
  bike: number | null
  because: string
  condition: Condition | null
  likely: { value: Condition; text: string } | null
  alike: string | null
  inbox: boolean
  byItself: boolean
  against: string | null
}

export interface WaxBooksPage {
  pots: PotLedger[]
  jars: JarLedger[]
}

export interface WearView {
  limit: number
  value: number | null
  lower: number | null
  upper: number | null
  mean: number | null
  p10: number | null
  p90: number | null
  due?: boolean
  text?: string
  of: string
}

export interface WetDayView {
  bike: number
  date: string
  distance: string
  condition: Condition
  name: string
  text: string
  verb: string
}

export interface WetPage {
  chain: { id: number; name: string; coat: number; left: string }
  bike: number
  title: string
  ride: string
  why: string
  geared: boolean
  dry: { done: boolean; late: boolean; seconds: number | null; when: string }
  next: string
  ways: WetWayView[]
  forms: FormDefaults
}

export interface WetWayView {
  way: WetWay
  title: string
  text: string
  swapTo: number | null
  inTime: boolean
  best: boolean
  when: string
}

export interface WetterRideView {
  id: number
  text: string
  condition: Condition
  verb: string
}

export interface WhatIfPage {
  policies: { interval: string; chains: number | null; rotation: string; limit: string | null; drip_only: boolean }[]
  intervals: Choice[]
  most: number
  rotations: Choice[]
  limits: Choice[]
  hour: string
  bikes: { value: number; title: string }[]
}

export interface WhyLineView {
  code: string
  text: string
  value: string
  number: number | null
  left: string | null
  origin: string
}

export interface WhyView {
  figure: string
  title: string
  formula: string
  source: string
  value: number | null
  unit: string
  lines: WhyLineView[]
}

export interface WornBike {
  id: number
  name: string
  limit: number
  limitText: string
  limits: { at: number; text: string }[]
  school: string
  top: number
  chains: WornChain[]
  even: string | null
  supply: string | null
  parts: PartOnBike[]
  advice: EarAdvice | null
  ear: EarView | null
}

export interface WornChain {
  id: number
  label: string
  name: string
  fitted: boolean
  ready: boolean
  km: string
  mean: number | null
  p10: number | null
  p90: number | null
  now: string
  last: string
  verdict: WearVerdict | null
  due: boolean
  sentences: string[]
}
