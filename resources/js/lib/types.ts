/** What the server sends; tests/Feature/PagePropsTest.php holds these shapes against it. */

export type State = 'right' | 'slow' | 'fast' | 'dead' | 'cuts-out' | 'runs' | 'stays' | 'overruns';

export type Ending =
    | 'repaired'
    | 'temporary'
    | 'not-repaired'
    | 'proven-good'
    | 'adjusted'
    | 'advised'
    | 'not-in-service'
    | 'handed-over'
    | 'watched';

export interface JobHead {
    id: string;
    number: string;
    unit: string;
    place: string | null;
    model: string | null;
    complaint: string;
    since: string | null;
    intermittent: boolean;
    replacedBefore: string | null;
    stage: 'circuit' | 'bench' | 'proof' | 'closed';
    kind: 'fault' | 'loose-part' | 'adjustment' | 'follow-up' | 'remote';
    outcome: Ending | null;
    dueOn: string | null;
    flow: string[];
    openedAt: string;
    closedAt: string | null;
    temporaryUntil: string | null;
}

export interface Cell {
    key: string;
    label: string;
    runs: boolean;
    states: { value: State; label: string }[];
    expected: number;
}

export interface SpeedMap {
    id: string;
    kind: 'before' | 'remembered' | 'after';
    notedFor: string | null;
    episode: number;
    states: Record<string, State | undefined>;
}

export interface Strip {
    cells: Cell[];
    maps: SpeedMap[];
}

export interface SheetNode {
    x: number;
    y: number;
    volts: number | null;
    place: string;
}

export interface SheetElement {
    id: string;
    from: string;
    to: string;
    symbol: string;
    label: string;
    bends: [number, number][];
    segment: number;
    side: string;
    groundAt: [number, number] | null;
    groundEnd: 'from' | 'to' | null;
    live: boolean;
    open: boolean;
}

export interface Sheet {
    width: number;
    height: number;
    nodes: Record<string, SheetNode | undefined>;
    potential: { unit: string; show: string; hide: string; supply: string };
    elements: SheetElement[];
}

export interface Reason {
    readings: string[];
    speaks: 'for' | 'against';
    weight: number;
    sentence: string;
}

/** Whether a suspect names parts to replace: nothing wrong and something that is not in the list do not. */
export function namesParts(remedy: string): boolean {
    return remedy !== 'none' && remedy !== 'something-else';
}

export interface Suspect {
    remedy: string;
    label: string;
    probability: number;
    cost: number;
    faults: { key: string; label: string; probability: number; degree: string | null; elements: string[] }[];
    reasons: Reason[];
    origins: { origin: string; label: string; share: number }[];
}

export interface Meaning {
    remedy: string;
    label: string;
    fault: string;
    probability: number;
}

export interface Outcome {
    value: string | null;
    from: number | null;
    to: number | null;
    label: string;
    probability: number;
    remedies: Meaning[];
}

export interface Mark {
    remedy: string;
    label: string;
    probability: number;
    from: number | null;
    to: number | null;
}

export type Quantity =
    | 'volts'
    | 'amps'
    | 'ohms'
    | 'duty'
    | 'vacuum'
    | 'capacitance'
    | 'rise'
    | 'pressure'
    | 'frequency'
    | 'speed'
    | 'lamp'
    | 'observation';

export interface Card {
    key: string;
    title: string;
    quantity: Quantity;
    unit: string;
    bench: boolean;
    units: string[];
    setUp: string;
    position: string;
    red: string | null;
    black: string | null;
    at: string;
    against: string;
    meter: string;
    danger: string;
    cautions: string[];
    tools: string[];
    access: string[];
    watch: boolean;
    choices: { value: string; label: string }[];
    /** Looked at in the same place before anything is measured there. */
    onTheWay: { key: string; title: string }[];
    again: string | null;
    outcomes: Outcome[];
    marks: Mark[];
}

export interface MeterName {
    id: string;
    name: string;
}

export interface Tool {
    key: string;
    label: string;
    atHand: boolean;
}

export interface TestChoice {
    key: string;
    title: string;
    gain: number;
    saves: number;
    cost: number;
    minutes: number;
    information: number;
    elements: string[];
}

export interface VerdictShown {
    remedy: string;
    label: string;
    probability: number;
    byElimination: boolean;
    final: boolean;
    causes: { test: string; title: string; question: string }[];
}

export interface Diagnosis {
    suspects: Suspect[];
    next: TestChoice | null;
    card: Card | null;
    tests: TestChoice[];
    verdict: VerdictShown | null;
    misfit: { reading: string; sentence: string; hint: string }[] | null;
    beyond: { key: string; title: string; tools: string[] }[];
    traps: { trap: string; readings: string[]; sentence: string }[];
    guessing: number;
    learned: LearnedValue[];
    elsewhere: ElsewhereShown | null;
}

/** A value of this machine that readings teach. */
export interface LearnedValue {
    key: string;
    label: string;
    before: string;
    after: string | null;
}

/** What can be said when no fault of the list explains the readings. */
export interface ElsewhereShown {
    sound: string[];
    odd: string[];
    cleared: string[];
    together: string[];
    narrows: { key: string; title: string }[];
}

export interface ReadingShown {
    id: string;
    test: string;
    title: string;
    value: string;
    steady: boolean;
    misbehaved: boolean | null;
    instrument: string | null;
    leads: string | null;
    doubts: string[];
    kept: boolean;
    episode: number;
    map: string | null;
    struck: boolean;
    struckBecause: string | null;
    /** Seen before the job, on the day of takenAt. */
    seenBefore: boolean;
    takenAt: string;
}

export interface ReplacementShown {
    id: string;
    remedy: string;
    label: string;
    partNumber: string | null;
    note: string | null;
    temporaryUntil: string | null;
    at: string;
    verdict: { verdict: VerdictShown | null; suspects: Suspect[]; guessing: number } | null;
}

export interface FieldShown {
    key: string;
    kind: 'choice' | 'number' | 'numbers' | 'text';
    label: string;
    hint: string | null;
    choices: { value: string; label: string }[];
    unit: string;
    default: string | number | null;
    countOf: string | null;
    shapesMap: boolean;
    onlyWith: { key: string; values: string[] } | null;
}

export interface LoggedReading extends ReadingShown {
    setUp: string;
    place: string;
    unit: string;
    number: number | null;
}

export interface PhotoShown {
    id: string;
    caption: string | null;
    width: number;
    height: number;
    reading: string | null;
    takenAt: string;
}

export interface SeriesStep {
    test: string;
    position: string;
    expected: number | null;
    expectedText: string;
    read: number | null;
    text: string | null;
}

export interface PulsesShown {
    low: number;
    high: number;
    mean: number;
    frequency: number | null;
    duty: number | null;
    jitter: number | null;
    periods: number;
    missing: number;
    bounces: number;
    activeHigh: boolean | null;
    longest: number | null;
}

export interface ChannelShown {
    name: string;
    unit: string;
    pulses: PulsesShown | null;
    readings: { test: string; title: string; value: string }[];
}

export interface CaptureShown {
    id: string;
    name: string;
    position: string | null;
    positionLabel: string | null;
    takenAt: string;
    count: number;
    interval: number;
    start: number;
    repairs: string[];
    channels: ChannelShown[];
}

export interface StepShown {
    position: string;
    duty: number | null;
    pulsed: boolean;
    frequency: number | null;
    low: number;
    high: number;
    missing: number;
}

export interface RemedyShown {
    key: string;
    label: string;
    kind: string;
    parts: string[];
    price: number;
    labour: number;
    standing: number;
    comeBack: number;
    expected: number;
    perYear: number;
    fixes: number;
    leadDays: number | null;
    warrantyMonths: number;
    lifeYears: number;
    comeBackChance: number;
    lost: number;
    minutes: number;
    why: string;
    whyNot: string;
    changes: string[];
    /** Who gave price and time for this job. */
    quotedBy: string | null;
    left: { test: string; shown: string; ordinary: string; question: string }[];
}

export interface AttributeShown {
    key: string;
    label: string;
    unit: string;
    hint: string;
    choices: { value: string; label: string }[];
}

export interface CataloguePart {
    number: string;
    name: string;
    type: string;
    make: string;
    fits: string[];
    supersedes: string[];
    price: number;
    freight: number;
    selling: number | null;
    leadDays: number | null;
    warrantyMonths: number;
    lifeYears: number;
    comeBack: number;
    lost: number;
    attributes: Record<string, string | undefined>;
}

/** Something that a job leaves open, until somebody settles it. */
export interface OpenItem {
    of: string;
    aspect: string;
    what: string;
    why: string;
}

/** Something noted between verdict and closed job; its other fields are those of its kind. */
export interface EntryShown {
    id: string;
    kind: string;
    at: string | null;
    [field: string]: unknown;
}

export interface CheckShown {
    test: string;
    title: string;
    setUp: string;
    unit: string;
    choices: { value: string; label: string }[];
    cautions: string[];
    expected: string;
    read: string | null;
    right: boolean | null;
    /** Whether no note replaces it. */
    always: boolean;
    complained: boolean;
}

export interface OutlookShown {
    options: RemedyShown[];
    attempts: { remedy: string; label: string; money: number; reached: number; fixes: number }[];
    money: number;
    test: { title: string; costs: number; saves: number } | null;
}

export interface ProcedureStep {
    text: string;
    cautions?: string[];
    wait?: { least: number; most?: number; reason: string; formula?: string };
    expect?: string;
    otherwise?: string;
    confirm?: string;
}

export interface ProcedureText {
    key: string;
    title: string;
    summary: string;
    families: string[];
    cautions: string[];
    steps: ProcedureStep[];
    abort: string[];
}

export interface RunShown {
    id: string;
    procedure: ProcedureText;
    step: number;
    since: number;
    now: number;
    remaining: number;
    late: boolean;
    finished: boolean;
    aborted: string | null;
    times: { step: number; seconds: number }[];
    startedAt: string;
}

export interface PlannerHead {
    key: string;
    name: string;
    summary: string;
    measures: boolean;
    tests: string[];
}

/** A suspect that belongs to another circuit of the machine. */
export interface LeadOn {
    part: string;
    family: string;
    href: string;
}

/** An answer of a planner that was kept with a job. */
export interface KeptPlan {
    id: string;
    planner: string;
    name: string;
    said: string[];
    at: string | null;
    href: string;
}

export interface PlanChartShown {
    title: string;
    x: string;
    y: string;
    curves: { label: string; points: [number, number][]; style: 'plain' | 'heavy' | 'dashed' }[];
    marks: { x: number; y: number; label: string }[];
    bands: { from: number; to: number; label: string }[];
    levels: { y: number; label: string }[];
}

export interface PlanShown {
    cautions: string[];
    refusals: string[];
    findings: string[];
    steps: string[];
    figures: { label: string; value: string; standing: 'fine' | 'refused' | ''; note: string }[];
    tables: { title: string; columns: string[]; rows: string[][]; marked: number[] }[];
    charts: PlanChartShown[];
    sheet: Sheet | null;
    worked: { label: string; quantity: string; test: string }[];
}

export type Parameters = Record<string, string | number | number[] | string[] | null | undefined>;

export interface Shared {
    user: { name: string; role: string; workshop: string; currency: string } | null;
    notice: string | null;
    errors: Record<string, string>;
    [key: string]: unknown;
}
