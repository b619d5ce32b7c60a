// Written by `php artisan ispira:types` from the classes of the same names. Change those, not this.

export type Ability =
    | 'look'
    | 'note'
    | 'remove'
    | 'correct'
    | 'countersign'
    | 'catalogue'
    | 'instruments'
    | 'procedures'
    | 'people'
    | 'settings'
    | 'results'
    | 'teach'
    | 'delete';

export interface AccountPage {
    name: string;
    email: string;
    role: Role;
    /** "day" or "dash"; null for what each device shows. */
    theme: string | null;
    numbers: NumberLanguage;
    /** Of units. */
    system: string;
    quantities: UnitChoice[];
}

export interface AdjustedEntry {
    id: string;
    at: string | null;
    by: string | null;
    kind: 'adjusted';
    of: string | null;
    what: string;
    before: string;
    after: string;
    undoOn: string | null;
}

/** A part that was replaced not long before on this unit, or several times on its model: then what destroys it, or leads to it, is suspected more. */
export interface Again {
    /** Label of what was replaced. */
    part: string;
    /** Day of the newest, YYYY-MM-DD. */
    on: string | null;
    /** Number of that job. */
    job: string | null;
    /** Whether it was this unit; otherwise its model. */
    ofUnit: boolean;
    /** Within the time that the workshop looks back. */
    times: number;
}

/** What can be done, and by whom. */
export interface AllowedShown {
    what: string;
    roles: Role[];
}

export interface AlsoEntry {
    id: string;
    at: string | null;
    by: string | null;
    kind: 'also';
    what: string;
}

export interface ArrivedEntry {
    id: string;
    at: string | null;
    by: string | null;
    kind: 'arrived';
    of: string;
    note: string | null;
}

/** One attempt of the cheapest order of attempts. */
export interface AttemptShown {
    remedy: string;
    label: string;
    money: number;
    reached: number;
    fixes: number;
}

/** What a kind of part is compared by, as a form shows it. */
export interface AttributeShown {
    key: string;
    label: string;
    unit: string;
    hint: string;
    choices: Choice[];
}

export interface AuditPage {
    /** The newest first. */
    acts: AuditShown[];
    /** Number of the last of them, where there are older ones. */
    before: number | null;
}

/** One act, in words. */
export interface AuditShown {
    sequence: number;
    by: string;
    words: string;
    about: string;
    detail: string | null;
    at: string;
}

export interface AwayPage {
    /** One that was taken along, and can go on. */
    job: JobHead | null;
    why: string;
}

export interface BenchPage {
    job: JobHead;
    strip: Strip;
    readings: ReadingShown[];
    replacements: ReplacementShown[];
    diagnosis: DiagnosisShown;
    series: SeriesStep[];
    sheet: DrawnSheet;
    chosen: string | null;
    open: boolean;
    planners: PlannerHead[];
    worksheets: Record<string, PlannerHead[] | undefined>;
    tools: Tool[];
    stepping: boolean;
    whatIf: string | null;
    meters: MeterName[];
    leads: number;
    leadsOn: LeadOn[];
    /** Newest last. */
    cannot: CannotShown[];
    /** Another one when somebody has changed the job. */
    pulse: string;
    practice: PracticeShown | null;
}

/** A run of a motor on the bench supply. */
export interface BenchRunShown {
    id: string;
    model: string;
    startsAt: number | null;
    points: [number, number][];
    loaded: boolean;
    amps: number | null;
    note: string | null;
    good: boolean;
    against: string[];
    compared: boolean;
    at: string;
}

export interface BenchRunsPage {
    runs: BenchRunShown[];
    cautions: string[];
}

/** A test that needs a tool which is not at hand. */
export interface BeyondShown {
    key: string;
    title: string;
    tools: string[];
}

/** When a tool has paid for itself. */
export interface BreakEvenShown {
    tool: string;
    label: string;
    price: string;
    perYear: string;
    typed: string;
    saving: number;
    jobs: number | null;
    months: number | null;
}

/** Whether verdicts hold as often as they state. */
export interface Calibration {
    /** Those that have verdicts. */
    bins: CalibrationBin[];
    /** Mean over all. */
    stated: number;
    /** Of all. */
    held: Share;
    /** Whether what holds and what is stated lie further apart than chance makes them. */
    parted: boolean;
}

/** Verdicts that were stated with about the same chance. */
export interface CalibrationBin {
    from: number;
    to: number;
    /** Mean of what they stated. */
    stated: number;
    held: Share;
}

/** A test that cannot be done on this job, and why not. */
export interface CannotShown {
    /** Of the entry. */
    id: string;
    test: string;
    title: string;
    because: string;
    note: string | null;
    at: string | null;
}

/** A capture of a scope. */
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

export interface CapturesPage {
    job: JobHead;
    open: boolean;
    positions: Named[];
    captures: CaptureShown[];
    steps: StepsShown;
    wanted: string;
}

/** A test as it is shown to the person who does it. */
export interface CardShown {
    key: string;
    title: string;
    quantity: Quantity;
    unit: string;
    /** Whether a meter on the bench reads it. */
    bench: boolean;
    units: string[];
    setUp: string;
    position: string;
    /** Place of the lead in words. */
    red: string | null;
    black: string | null;
    /** Node or element of the lead. */
    at: string;
    against: string;
    meter: string;
    danger: string;
    /** Whether a touch can kill: its cautions are never folded. */
    deadly: boolean;
    cautions: string[];
    tools: string[];
    access: string[];
    /** Whether what the machine does meanwhile is worth noting. */
    watch: boolean;
    choices: Choice[];
    /** Looked at in the same place before anything is measured there. */
    onTheWay: Titled[];
    again: string | null;
    /** What it is worth, in one sentence without its stop. */
    why: string;
    /** How much of what is open it settles on average; empty where nothing is. */
    settles: string;
    /** Which test is next best, and how near it comes; empty where there is none. */
    nextBest: string;
    outcomes: OutcomeShown[];
    marks: MarkShown[];
    /** Those at which it is taken. */
    plugs: PlugFace[];
}

/** What has to be looked at before a new part goes in. */
export interface CauseShown {
    test: string;
    title: string;
    question: string;
}

/** A position of the selector with the answers that it takes. */
export interface Cell {
    key: string;
    label: string;
    /** Whether something should run in it. */
    runs: boolean;
    states: StateChoice[];
}

/** What a channel shows of a test. */
export interface ChannelReading {
    test: string;
    title: string;
    value: string;
}

/** A channel of a capture. */
export interface ChannelShown {
    name: string;
    unit: string;
    pulses: Pulses | null;
    readings: ChannelReading[];
}

/** Curves over one axis. */
export interface Chart {
    title: string;
    x: string;
    y: string;
    curves: { label: string; points: [number, number][]; style: 'plain' | 'heavy' | 'dashed' }[];
    /** Points with a name. */
    marks: { x: number; y: number; label: string }[];
    /** Of the x axis. */
    bands: { from: number; to: number; label: string }[];
    /** Of the y axis. */
    levels: { y: number; label: string }[];
}

/** One of the checks that prove a repair. */
export interface CheckShown {
    test: string;
    title: string;
    setUp: string;
    unit: string;
    choices: Choice[];
    cautions: string[];
    expected: string;
    read: string | null;
    /** Null while it is not read, or read once and outside of what is right. */
    right: boolean | null;
    /** Whether no note replaces it. */
    always: boolean;
    complained: boolean;
}

/** One answer out of several, and what it is called. */
export interface Choice {
    value: string;
    label: string;
}

export interface ChoiceEntry {
    id: string;
    at: string | null;
    by: string | null;
    option: string;
    label: string;
    parts: string[];
    kind: string;
    purchase: number;
    selling: number | null;
    minutes: number;
    leadDays: number | null;
    warrantyMonths: number;
    partNumber: string | null;
    expected: number;
    reason: string;
    lasting: string | null;
}

/** A kind of circuit, and what can be hidden in one. */
export interface CircuitKinds {
    family: string;
    name: string;
    kinds: Choice[];
}

export interface CircuitPage {
    job: JobHead;
    strip: Strip;
    family: string;
    fields: FieldShown[];
    values: Record<string, unknown>;
    sheet: DrawnSheet;
    learned: LearnedShown[];
    open: boolean;
    mayChange: boolean;
    changed: OtherCircuitEntry[];
}

export interface ClosedEntry {
    id: string;
    at: string | null;
    by: string | null;
    kind: 'closed';
    outcome: 'repaired' | 'temporary' | 'not-repaired' | 'proven-good' | 'adjusted' | 'advised' | 'watched' | 'not-in-service' | 'handed-over' | 'cancelled';
    reason: string | null;
    dueOn: string | null;
    who: string | null;
    leftOut: string[];
    countersign: boolean;
}

export interface ComplaintPage {
    job: JobHead;
    strip: Strip;
    history: OtherJob[];
    also: AlsoEntry[];
    corrected: CorrectedEntry[];
    handedOver: HandedOverEntry[];
    reopened: ReopenedEntry[];
    /** To whom it can be handed. */
    people: Choice[];
    openedBy: string;
    /** Null where its unit is a make-believe one. */
    unitId: string | null;
    open: boolean;
}

export interface CorrectedEntry {
    id: string;
    at: string | null;
    by: string | null;
    kind: 'corrected';
    old: Record<string, string | undefined>;
    new: Record<string, string | undefined>;
    reason: string | null;
}

/** Something to choose, with its number of jobs. */
export interface CountedChoice {
    value: string;
    label: string;
    jobs: number;
}

/** A course beside another: whose it is, what it took, and its tests. */
export interface CourseShown {
    whose: string;
    minutes: number;
    money: number;
    named: string;
    right: boolean;
    /** Titles in their order. */
    tests: string[];
}

/** Somebody of the demo. */
export interface DemoAccount {
    name: string;
    email: string;
    role: Role;
}

/** Who may sign in to look around. */
export interface DemoShown {
    password: string;
    accounts: DemoAccount[];
}

/** A diagnosis as it leaves the core (see docs/formats/diagnosis.schema.json). */
export interface DiagnosisShown {
    /** Likeliest first. */
    suspects: SuspectShown[];
    next: TestChoiceShown | null;
    /** Of the proposed test, or of the one that was chosen instead. */
    card: CardShown | null;
    /** Best first. */
    tests: TestChoiceShown[];
    /** Tests that need a tool which is not at hand. */
    beyond: BeyondShown[];
    verdict: VerdictShown | null;
    /** Readings that no suspect explains; null when they all fit. */
    misfit: MisfitShown[] | null;
    traps: TrapShown[];
    /** Money that buying on the odds as they stand would waste on average. */
    guessing: number;
    /** Tests that are about left, the next among them. */
    left: number;
    learned: LearnedShown[];
    elsewhere: ElsewhereShown | null;
}

export interface DownEntry {
    id: string;
    at: string | null;
    by: string | null;
    kind: 'down';
    what: string;
    fastener: string | null;
    length: string | null;
    count: number;
    where: string | null;
    clip: string | null;
    irreversible: boolean;
    behind: string | null;
    alternative: string | null;
    alternativeMinutes: number | null;
    confirmed: boolean;
    photo: string | null;
}

/** A part that is drawn as one sign with several terminals. */
export interface DrawnBlock {
    id: string;
    label: string;
    shape: 'box' | 'motor' | 'pad';
    left: number;
    top: number;
    width: number;
    height: number;
    /** That are inside. */
    elements: string[];
    live: boolean;
}

/** An element as it stands on a sheet, in one state of its circuit. */
export interface DrawnElement {
    id: string;
    from: string;
    to: string;
    symbol: Symbol;
    label: string;
    side: string;
    /** Middle of its sign. */
    at: [number, number];
    /** Of its length from the first terminal, in degrees. */
    angle: number;
    /** Of its length. */
    half: number;
    /** To either side of it. */
    reach: number;
    /** Corners of the lines that lead to its sign, or of the line that it is. */
    wires: [number, number][][];
    /** Places where such a line hops over another. */
    hops: [number, number][];
    live: boolean;
    /** Apart: a contact, a plug, a wire that was taken off. */
    open: boolean;
    /** 1 where current flows from its first end to its second, -1 the other way, 0 where none does or it alternates. */
    flow: number;
}

/** A place where lines are joined: what only crosses has none. */
export interface DrawnJoint {
    at: [number, number];
    live: boolean;
}

/** A node where it stands on a sheet. */
export interface DrawnNode {
    x: number;
    y: number;
    /** Potential against the reference of the sheet; null where the node floats. */
    volts: number | null;
    /** Where it is found, in words. */
    place: string;
}

/** A circuit sheet in one state of its circuit: what is closed, where current flows, the potential of each node. */
export interface DrawnSheet {
    width: number;
    height: number;
    nodes: Record<string, DrawnNode | undefined>;
    potential: PotentialWords;
    elements: DrawnElement[];
    blocks: DrawnBlock[];
    signs: DrawnSign[];
    joints: DrawnJoint[];
}

/** A place where a node is drawn once more instead of a line to it: ground, a clip on the battery. */
export interface DrawnSign {
    at: [number, number];
    kind: 'ground' | 'plus';
    node: string;
}

/** A job that has to be looked at again. */
export interface DueJob {
    id: string;
    number: string;
    unit: string;
    place: string | null;
    what: string;
    outcome: string;
    dueOn: string;
    overdue: boolean;
}

export interface DuePage {
    jobs: DueJob[];
    /** On order. */
    parts: PartDue[];
    loans: LoanShown[];
    open: OpenJobItems[];
    /** How many jobs of each are shown. */
    most: number;
}

/** What can be said when no fault of the list explains the readings. */
export interface ElsewhereShown {
    sound: string[];
    odd: string[];
    cleared: string[];
    together: string[];
    narrows: Titled[];
}

/** A way in which a job can end, and what it asks for. */
export interface EndingShown {
    value: JobOutcome;
    needsReason: boolean;
    needsDay: boolean;
    needsName: boolean;
}

/** An exercise as a list shows it. */
export interface ExerciseListed {
    job: string;
    number: string;
    circuit: string;
    title: string;
    way: string;
    /** Name of the person; empty where it is the own list. */
    who: string;
    set: string | null;
    overAt: string | null;
    points: number | null;
    passed: boolean | null;
    verdict: string | null;
}

/** What an exercise asks and offers while it is going on. */
export interface ExerciseShown {
    way: PracticeWay;
    /** Whether odds and proposals are not shown. */
    hides: boolean;
    /** Whether something was named, or it was stopped. */
    over: boolean;
    /** Whether what is believed is asked before the odds are shown. */
    guessNow: boolean;
    /** Percent by remedy, as last set down. */
    believed: Record<string, number | undefined>;
    /** So far, with hints. */
    minutes: number;
    /** What a hint costs. */
    hintMinutes: number;
    hints: number;
    /** The test that was proposed since the last reading. */
    hint: string | null;
    hintWhy: string | null;
    /** What can be named. */
    remedies: Choice[];
    /** That are offered to who does not know better. */
    shortcuts: Titled[];
    /** Whether something in it holds a charge. */
    stores: boolean;
    /** Of leads. */
    places: Choice[];
    /** Whether leads are put on for the test that is shown. */
    leads: boolean;
    /** Whether hands or a meter come to what has to be dead for it, or may be. */
    near: boolean;
    /** What there is to say of how the test was gone at. */
    note: string | null;
}

/** One step of an exercise, looked at afterwards. */
export interface ExerciseStep {
    /** Of the test, or of what else was done. */
    title: string;
    /** In which it was taken; empty where that says nothing. */
    setUp: string;
    /** What was written down; null where nothing was. */
    showed: string | null;
    minutes: number;
    /** Node or element of the red lead as it was; empty for none. */
    at: string;
    /** Of the black one. */
    against: string;
    /** What the leads and the words differed in. */
    slip: string | null;
    /** What the reading did to the odds. */
    told: string;
    /** What would have told more; null where this was the best. */
    better: string | null;
    /** Its title. */
    betterTest: string | null;
    /** Why that. */
    why: string | null;
    /** Whether it told next to nothing, or came after all was clear. */
    needless: boolean;
    /** What was believed before it, beside what the readings gave. */
    guess: string | null;
}

export interface ExperiencePage {
    /** With their proven jobs. */
    families: CountedChoice[];
    /** That is shown; null where no job is proven yet. */
    family: string | null;
    /** Of that family. */
    models: CountedChoice[];
    /** That is shown; empty for all of the family. */
    model: string;
    /** The likeliest first. */
    odds: OddsShown[];
    /** That were counted, of others too where their experience is taken in. */
    jobs: number;
    /** Jobs about parts that this variant does not have. */
    elsewhere: number;
    /** How many jobs the shipped odds are worth beside them. */
    strength: number;
    /** Whether diagnoses begin with the own odds. */
    used: boolean;
    calibration: Calibration;
    /** Experience of others that is counted in. */
    taken: ExperienceShown[];
}

/** Experience of another workshop that is counted in. */
export interface ExperienceShown {
    id: string;
    name: string;
    madeOn: string;
    weight: number;
    jobs: number;
}

/** A kind of circuit, with what its circuit is told by. */
export interface FamilyChoice {
    key: string;
    name: string;
    summary: string;
    parameters: FieldShown[];
}

/** A kind of circuit. */
export interface FamilyHead {
    key: string;
    name: string;
    summary: string;
}

export type FastenerHead =
    | 'hex'
    | 'socket'
    | 'star'
    | 'cross'
    | 'slot'
    | 'nut'
    | 'clip'
    | 'rivet'
    | 'other';

/** One way in which a suspect may have failed. */
export interface FaultShown {
    key: string;
    label: string;
    probability: number;
    /** How bad it is, in the trade's words; null where it has no degree. */
    degree: string | null;
    /** Of the netlist, for the sheet. */
    elements: string[];
}

/** A field of a form, as a family or a planner declares it. */
export interface FieldShown {
    key: string;
    kind: 'choice' | 'number' | 'numbers' | 'text';
    label: string;
    hint: string | null;
    choices: Choice[];
    unit: string;
    default: string | number | null;
    countOf: string | null;
    /** Whether it changes the positions of the selector. */
    shapesMap: boolean;
    onlyWith: OnlyWith | null;
}

/** A value that was worked out, and how it stands against its limit. */
export interface Figure {
    label: string;
    value: string;
    standing: 'fine' | 'refused' | '';
    note: string;
}

/** Something that can be seen at a machine, and where it leads: to a further question, or to a kind of circuit. */
export interface FinderChoice {
    label: string;
    /** Name of the small drawing beside it. */
    sign: string;
    /** Key of the next question; null where a family is found. */
    next: string | null;
    /** Key of the family that it is. */
    family: string | null;
}

/** One question by which a kind of circuit is found by what is seen. */
export interface FinderStep {
    key: string;
    question: string;
    choices: FinderChoice[];
}

/** One attribute of an old part against its candidate. */
export interface FindingShown {
    key: string;
    verdict: FitVerdict;
    how: string;
}

export interface FitEntry {
    id: string;
    at: string | null;
    by: string | null;
    kind: 'fit';
    when: 'purchase' | 'beside';
    type: string;
    candidate: string;
    old: Record<string, string | undefined>;
    new: Record<string, string | undefined>;
    accepted: boolean;
    reason: string | null;
}

/** The connector of the old part beside that of its candidate, as far as they were described. */
export interface FitFaces {
    old: PlugFace | null;
    new: PlugFace | null;
}

export interface FitPage {
    job: JobHead;
    open: boolean;
    type: string;
    types: Choice[];
    attributes: AttributeShown[];
    old: Record<string, string | undefined>;
    new: Record<string, string | undefined>;
    candidate: string;
    findings: FindingShown[];
    worst: FitVerdict;
    faces: FitFaces | null;
    chosen: string | null;
    checks: FitEntry[];
    catalogue: PartShown[];
}

export type FitVerdict =
    | 'same'
    | 'compatible'
    | 'adapt'
    | 'unknown'
    | 'wrong';

/** A part that was fitted to a unit. */
export interface FittedPart {
    id: string;
    label: string;
    partNumber: string | null;
    /** Moment as ISO 8601. */
    on: string;
    by: string | null;
    job: string;
    jobId: string;
    /** YYYY-MM-DD. */
    warrantyUntil: string | null;
    underWarranty: boolean;
    temporary: boolean;
    /** Whether it cured the machine; null while nobody knows. */
    held: boolean | null;
}

export interface FoundEntry {
    id: string;
    at: string | null;
    by: string | null;
    kind: 'found';
    what: string;
    condition: 'missing' | 'stripped' | 'pried' | 'swapped' | 'not-original' | 'damaged';
    count: number | null;
    note: string | null;
    photo: string | null;
}

export interface HandedOverEntry {
    id: string;
    at: string | null;
    by: string | null;
    kind: 'handed-over';
    from: string;
    to: string;
    note: string;
}

export interface HeldEntry {
    id: string;
    at: string | null;
    by: string | null;
    kind: 'held';
    replacement: string;
    held: boolean;
    because: string | null;
}

export interface InstallationPage {
    version: string;
    /** What was asked of this machine, and whether it is well. */
    checks: Record<string, boolean | undefined>;
    /** Room that captures and photos of the workshop take, in words. */
    used: string;
    /** Room that they may take. */
    limit: string;
    /** Room that those of one job may take. */
    limitOfJob: string;
    /** Room that is free on the disk. */
    free: string;
    /** Moment of the last one that is known of. */
    lastBackup: string | null;
    /** Its size, in words. */
    backupSize: string | null;
    /** Whether it can be read with its key only. */
    encrypted: boolean;
    /** Whether it is longer ago than it should be. */
    backupLate: boolean;
    /** The newest first, of this workshop. */
    slow: SlowRequest[];
}

export interface InstrumentsPage {
    meters: MeterShown[];
    tried: MeterTried | null;
    leads: number;
}

/** The map and the questions of the circuit chosen so far. */
export interface IntakeStart {
    family: string;
    cells: Cell[];
    questions: Question[];
    parts: Choice[];
    /** Whether the family was chosen, and is not only the usual one. */
    asked: boolean;
    /** What was chosen of its shape, so that a reload keeps it. */
    shape: Record<string, string | undefined>;
}

/** A link that somebody has not taken yet. */
export interface InvitationShown {
    id: string;
    name: string;
    email: string;
    role: Role;
    renews: boolean;
    expiresAt: string;
}

export interface InvitedPage {
    token: string;
    workshop: string;
    name: string;
    email: string;
    role: Role;
    /** Whether it is for a new password. */
    renews: boolean;
}

/** Jobs under one heading. */
export interface JobGroup {
    title: string;
    /** That shows all of them; null where these are all. */
    view: ListView | null;
    count: number;
    more: boolean;
    jobs: JobListed[];
}

/** What every page of a job shows of it. */
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
    stage: JobStage;
    kind: JobKind;
    outcome: JobOutcome | null;
    /** Day as YYYY-MM-DD. */
    dueOn: string | null;
    /** The stages that a job of this kind goes through. */
    flow: JobStage[];
    openedAt: string;
    closedAt: string | null;
    temporaryUntil: string | null;
    /** Whether its unit is a make-believe one. */
    practice: boolean;
    /** Name of the person whose job it is. */
    owner: string | null;
    /** Day as YYYY-MM-DD on which the next part that was ordered should be there. */
    partExpectedOn: string | null;
    /** Whether somebody has to countersign how it was closed. */
    countersign: boolean;
    /** What was replaced on the unit or its model not long before. */
    again: Again[];
    /** Whether the way is explained on it step by step. */
    tour: boolean;
}

export type JobKind =
    | 'fault'
    | 'loose-part'
    | 'adjustment'
    | 'follow-up'
    | 'remote';

/** A job in the list of jobs, with its strip in small. */
export interface JobListed {
    job: JobHead;
    strip: StripBar[];
}

export type JobOutcome =
    | 'repaired'
    | 'temporary'
    | 'not-repaired'
    | 'proven-good'
    | 'adjusted'
    | 'advised'
    | 'watched'
    | 'not-in-service'
    | 'handed-over'
    | 'cancelled';

export type JobStage =
    | 'circuit'
    | 'bench'
    | 'proof'
    | 'closed';

export interface JobsPage {
    search: string;
    /** Null for the first page, with what is going on. */
    view: ListView | null;
    /** Key. */
    family: string | null;
    /** Whose jobs. */
    person: number | null;
    sort: ListSort;
    numbers: ListNumber[];
    groups: JobGroup[];
    /** Whether older jobs may have these words as well, all of them being common. */
    onlyTheNewest: boolean;
    /** Address of the page before. */
    newer: string | null;
    /** Address of the page after. */
    older: string | null;
    families: Choice[];
    people: Choice[];
    sorts: Choice[];
    /** Whether the person has opened no job and done no exercise yet. */
    newcomer: boolean;
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

export interface KitEntry {
    id: string;
    at: string | null;
    by: string | null;
    kind: 'kit';
    sort: 'tool' | 'consumable' | 'carry-over' | 'restore';
    what: string;
}

/** Something that the job needs, and whether it lies ready. */
export interface KitShown {
    id: string;
    sort: string;
    what: string;
    ready: boolean;
    substitute: string;
}

/** A circuit that was told with an earlier job. */
export interface KnownCircuit {
    family: string;
    parameters: Record<string, unknown>;
}

/** The ladder of one family. */
export interface LadderShown {
    family: string;
    name: string;
    summary: string;
    /** Lowest first. */
    rungs: RungShown[];
}

/** A suspect that belongs to another circuit of the machine. */
export interface LeadOn {
    part: string;
    family: string;
    href: string;
}

/** A value of this machine that readings teach. */
export interface LearnedShown {
    key: string;
    label: string;
    before: string;
    /** Null while nothing has taught it. */
    after: string | null;
}

/** What was measured that a way of repair leaves in the machine. */
export interface LeftShown {
    test: string;
    shown: string;
    ordinary: string;
    question: string;
}

/** What somebody noted for next time, after a verdict that did not hold. */
export interface LessonShown {
    jobId: string;
    lesson: string;
}

export interface LessonsPage {
    /** The newest first. */
    vain: VainShown[];
    /** Whether there are older ones. */
    more: boolean;
}

/** A link that was just made: it is shown once, and is kept nowhere. */
export interface LinkShown {
    url: string;
    name: string;
    renews: boolean;
    mailed: boolean;
    expiresAt: string;
}

/** How many jobs a list would show. */
export interface ListNumber {
    view: ListView;
    title: string;
    count: number;
    /** Whether there are more than were counted. */
    more: boolean;
}

export type ListSort =
    | 'touched'
    | 'newest'
    | 'oldest';

export type ListView =
    | 'mine'
    | 'bench'
    | 'proof'
    | 'circuit'
    | 'part'
    | 'due'
    | 'still-open'
    | 'countersign'
    | 'closed'
    | 'all';

export interface LoanEntry {
    id: string;
    at: string | null;
    by: string | null;
    kind: 'loan';
    what: string;
    to: string;
    dueOn: string;
}

/** A part that was lent out. */
export interface LoanShown {
    id: string;
    job: string;
    jobId: string;
    unit: string;
    what: string;
    to: string;
    dueOn: string;
    overdue: boolean;
}

export interface LogPage {
    job: JobHead;
    open: boolean;
    readings: LoggedReading[];
    photos: PhotoShown[];
}

/** A reading with where and how it was taken. */
export interface LoggedReading {
    reading: ReadingShown;
    setUp: string;
    place: string;
    unit: string;
    number: number | null;
}

export type MapKind =
    | 'before'
    | 'remembered'
    | 'after';

/** A speed map as it was noted. */
export interface MapShown {
    id: string;
    kind: MapKind;
    notedFor: string | null;
    episode: number;
    /** By position. */
    states: Record<string, SpeedState | undefined>;
}

/** Where a suspect sees the reading. */
export interface MarkShown {
    remedy: string;
    label: string;
    probability: number;
    /** Null for over range. */
    from: number | null;
    to: number | null;
}

/** What an outcome says about one suspect. */
export interface MeaningShown {
    remedy: string;
    label: string;
    fault: string;
    probability: number;
}

/** A meter of the workshop. */
export interface MeterName {
    id: string;
    name: string;
}

/** A meter of the workshop with its address. */
export interface MeterShown {
    id: string;
    name: string;
    host: string;
    port: number;
    identity: string | null;
}

/** Whether a meter answered. */
export interface MeterTried {
    meter: string;
    works: boolean;
    says: string;
}

/** A reading that no suspect explains. */
export interface MisfitShown {
    reading: string;
    sentence: string;
    /** Which slips show like that. */
    hint: string;
}

export interface ModelPage {
    model: string;
    units: UnitNear[];
    /** The newest first. */
    jobs: JobListed[];
    /** Whether there are older ones. */
    more: boolean;
    /** What was replaced, the most often first, in those jobs. */
    replaced: ReplacedCount[];
    route: RouteShown | null;
    /** Of verdicts that did not hold. */
    lessons: LessonShown[];
}

/** Something with a key, and what it is called. */
export interface Named {
    key: string;
    label: string;
}

export interface NewJobPage {
    families: FamilyChoice[];
    /** That are called like what was typed. */
    units: UnitNamed[];
    /** That was typed of the unit. */
    name: string;
    /** That was typed. */
    model: string;
    /** Of exactly that name. */
    unit: UnitShown | null;
    /** From an earlier job of it, or of its model. */
    known: KnownCircuit | null;
    start: IntakeStart;
    /** The first question first. */
    finder: FinderStep[];
}

/** What comes next for a person, and why. */
export interface NextShown {
    family: string;
    circuit: string;
    rung: Rung;
    title: string;
    why: string;
}

export type NumberLanguage =
    | 'point'
    | 'comma';

/** How often something is at fault: as shipped, and as the workshop's own jobs have it. */
export interface OddsShown {
    remedy: string;
    label: string;
    shipped: number;
    own: number;
    jobs: number;
    /** The own one lies between this .... */
    low: number;
    /** ... and this, nineteen times of twenty. */
    high: number;
}

/** A field that is asked only when another one has one of these values. */
export interface OnlyWith {
    key: string;
    values: string[];
}

/** Something that a job leaves open, until somebody settles it. */
export interface OpenItem {
    /** Entry that left it. */
    of: string;
    /** What of it. */
    aspect: string;
    what: string;
    why: string;
}

/** What a job leaves open. */
export interface OpenJobItems {
    id: string;
    number: string;
    unit: string;
    closed: boolean;
    items: OpenItem[];
}

export interface OrderPage {
    job: JobHead;
    open: boolean;
    /** What has not arrived, the one expected first at the front. */
    onOrder: OrderedEntry[];
    /** All of it. */
    ordered: OrderedEntry[];
    arrived: ArrivedEntry[];
    /** YYYY-MM-DD. */
    today: string;
    /** The part that the remedy takes, where one was chosen. */
    chosen: string | null;
    /** Its number. */
    number: string | null;
    /** Days that it takes. */
    leadDays: number | null;
}

export interface OrderedEntry {
    id: string;
    at: string | null;
    by: string | null;
    kind: 'ordered';
    what: string;
    partNumber: string | null;
    source: string | null;
    expectedOn: string;
    price: number | null;
}

/** Where a fault may have come from. */
export interface OriginShown {
    origin: string;
    label: string;
    share: number;
}

export interface OtherCircuitEntry {
    id: string;
    at: string | null;
    by: string | null;
    kind: 'other-circuit';
    from: string;
    to: string;
    reason: string | null;
    setAside: string[];
}

export interface OtherCircuitPage {
    job: JobHead;
    families: FamilyHead[];
    family: string;
    now: string;
    fields: FieldShown[];
    values: Record<string, unknown>;
    problems: Record<string, string | undefined>;
    kept: string[];
    setAside: string[];
    cells: Cell[];
    states: Record<string, SpeedState | undefined>;
    questions: Question[];
}

/** Another job of the same unit. */
export interface OtherJob {
    id: string;
    number: string;
    complaint: string;
    stage: JobStage;
}

/** A range of readings, or an answer, and what it would mean. */
export interface OutcomeShown {
    /** The answer; null for a number. */
    value: string | null;
    from: number | null;
    to: number | null;
    label: string;
    probability: number;
    remedies: MeaningShown[];
}

/** What it takes from the odds as they stand to a machine that runs. */
export interface OutlookShown {
    options: RemedyShown[];
    attempts: AttemptShown[];
    money: number;
    test: TestWorth | null;
}

/** A part that a job waits for. */
export interface PartDue {
    id: string;
    jobId: string;
    job: string;
    unit: string;
    what: string;
    source: string | null;
    /** YYYY-MM-DD. */
    expectedOn: string;
    overdue: boolean;
}

/** What the new part showed. */
export interface PartMeasured {
    id: string;
    title: string;
    right: boolean;
    expected: string;
    reason: string | null;
}

/** A part of the catalogue. */
export interface PartShown {
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

/** What the new part should show before it goes in. */
export interface PartTest {
    key: string;
    title: string;
    unit: string;
    expected: string;
    choices: Choice[];
    cautions: string[];
}

/** A kind of part with what it is compared by. */
export interface PartTypeShown {
    value: string;
    label: string;
    attributes: AttributeShown[];
}

export interface PartsPage {
    parts: PartShown[];
    types: PartTypeShown[];
    makes: string[];
    fits: Choice[];
}

/** An earlier job of a unit. */
export interface PastJob {
    number: string;
    complaint: string;
    stage: JobStage;
    openedAt: string;
    found: string[];
    replaced: string[];
}

export interface PeoplePage {
    people: PersonShown[];
    invitations: InvitationShown[];
    /** That was just made. */
    link: LinkShown | null;
    allowed: AllowedShown[];
}

/** Somebody of the workshop. */
export interface PersonShown {
    id: number;
    name: string;
    email: string;
    role: Role;
    disabled: boolean;
    /** When this person last asked for a page. */
    seenAt: string | null;
    /** Whether the workshop would be without a lead without this person. */
    needed: boolean;
}

/** A photo to choose. */
export interface PhotoHead {
    id: string;
    caption: string | null;
}

/** A photo of the job. */
export interface PhotoShown {
    id: string;
    caption: string | null;
    width: number;
    height: number;
    reading: string | null;
    takenAt: string;
}

/** What a planner answers. */
export interface PlanShown {
    cautions: string[];
    refusals: string[];
    findings: string[];
    steps: string[];
    figures: Figure[];
    tables: PlanTable[];
    charts: Chart[];
    sheet: DrawnSheet | null;
    worked: WorkedShown[];
}

/** Rows of text under named columns. */
export interface PlanTable {
    title: string;
    columns: string[];
    rows: string[][];
    /** Numbers of the rows that stand out. */
    marked: number[];
}

/** A planner or worksheet. */
export interface PlannerHead {
    key: string;
    name: string;
    summary: string;
    measures: boolean;
    tests: string[];
}

export interface PlannerPage {
    planner: PlannerHead;
    fields: FieldShown[];
    values: Record<string, unknown>;
    problems: Record<string, string | undefined>;
    plan: PlanShown | null;
    cautions: string[];
    /** Whether what stands in the fields is an example's. */
    example: boolean;
    job: JobHead | null;
    open: boolean;
    kept: KeptPlan[];
    wanted: string;
    tests: Titled[][];
}

/** What a planner was used for: the answer that was kept last, and the jobs. */
export interface PlannerUsed {
    last: KeptPlan;
    /** Number and unit of the job in which it was kept last. */
    job: string;
    /** How many jobs have kept one. */
    jobs: number;
}

export interface PlannersPage {
    planners: PlannerHead[];
    /** By planner. */
    used: Record<string, PlannerUsed | undefined>;
}

export interface PlugEntry {
    id: string;
    at: string | null;
    by: string | null;
    kind: 'plug';
    what: string;
    latched: boolean;
    locked: boolean;
    reason: string | null;
}

/** A plug as it is drawn: its pins in rows. */
export interface PlugFace {
    title: string;
    pins: PlugPin[];
    rows: number;
    columns: number;
    /** Whether it has sockets and no pins; null where nobody has looked. */
    sockets: boolean | null;
    /** What keeps it from going in the wrong way. */
    key: string | null;
    /** Whether the pins stand by their numbers. */
    numbered: boolean;
}

/** One place of a plug, seen from its front. */
export interface PlugPin {
    /** What stands beside it: its number, letter or shortest name. */
    label: string;
    /** What its wire does; empty where nothing is known of it. */
    words: string;
    colour: WireColour | null;
    /** The lead that goes there: A or B. */
    lead: string | null;
    /** From the top, from zero. */
    row: number;
    /** From the left, from zero. */
    column: number;
}

/** What a potential is called in a circuit: volts, or vacuum. */
export interface PotentialWords {
    unit: string;
    show: string;
    hide: string;
    supply: string;
}

/** What a practice unit shows at one test, as a person would put it into the fields of the reading. */
export interface PracticeAnswer {
    /** The number in the unit that is shown; empty where none is read. */
    value: string;
    /** The answer of what is looked at or listened to; empty where a number is read. */
    choice: string;
    overRange: boolean;
    steady: boolean;
    /** Whether the machine misbehaves meanwhile; null where that is not asked. */
    misbehaved: boolean | null;
}

export interface PracticePage {
    ladders: LadderShown[];
    /** The family that the workshop meets most. */
    usual: string;
    next: NextShown | null;
    /** That are not over. */
    going: ExerciseListed[];
    /** Newest first. */
    over: ExerciseListed[];
    sets: SetShown[];
    /** Families of which the workshop has proven jobs to replay. */
    replayed: string[];
    /** What went wrong in several of the newest. */
    watch: string[];
    /** Whether the person may set exercises. */
    teaches: boolean;
}

/** What a page shows of a practice unit. */
export interface PracticeShown {
    /** What was hidden in it, in words: shown when somebody asks; empty while that would spoil an exercise. */
    hidden: string;
    /** By test. */
    answers: Record<string, PracticeAnswer | undefined>;
    /** What it does in each position; empty where no map is taken. */
    states: Record<string, string | undefined>;
    /** On the bench. */
    exercise: ExerciseShown | null;
}

export type PracticeWay =
    | 'guided'
    | 'own'
    | 'examination';

/** Steps in their order, with cautions before them and a way to a safe state from any of them. */
export interface Procedure {
    /** Stable identifier: lower case and hyphens. */
    key: string;
    title: string;
    summary: string;
    /** Keys of the families that it serves; empty for all. */
    families: string[];
    /** Before anything is done. */
    cautions: string[];
    steps: Step[];
    /** What makes it safe when it is broken off. */
    abort: string[];
}

/** A procedure in a list. */
export interface ProcedureHead {
    key: string;
    title: string;
    summary: string;
    minutes: number;
    steps: number;
    /** Whether the text is the workshop's own. */
    own: boolean;
    /** How often it was begun lately. */
    worked: number;
    /** Begun last. */
    last: RunListed | null;
}

export interface ProcedurePage {
    procedure: Procedure;
    asksForCapacitor: boolean;
    own: boolean;
    shipped: boolean;
    lead: boolean;
    job: JobHead | null;
}

export interface ProceduresPage {
    procedures: ProcedureHead[];
    running: RunListed[];
    job: JobHead | null;
    lead: boolean;
}

export interface ProofPage {
    job: JobHead;
    strip: Strip;
    replacements: ReplacementShown[];
    readings: ReadingShown[];
    open: boolean;
    machine: boolean;
    proved: boolean;
    checks: CheckShown[];
    outcomes: EndingShown[];
    never: string;
    adjusts: Choice[];
    adjusted: AdjustedEntry[];
    loans: LoanEntry[];
    closing: ClosedEntry[];
    passes: number | null;
    stillOpen: OpenItem[];
    settled: SettledItem[];
    planners: PlannerHead[];
    plans: KeptPlan[];
    practice: PracticeShown | null;
}

/** What a row of pulses is: how often, how wide, how even, and what is amiss in it. */
export interface Pulses {
    low: number;
    high: number;
    mean: number;
    /** In Hz; null without pulses. */
    frequency: number | null;
    /** Share of the time that it is high, in %. */
    duty: number | null;
    /** Standard deviation of the periods over their mean, in %. */
    jitter: number | null;
    /** Whole ones that were measured. */
    periods: number;
    /** Pulses that should have come in the gaps. */
    missing: number;
    /** Edges that belong to the contact and not to the signal. */
    bounces: number;
    /** Whether it is high that does something, told by where it rests; null where that cannot be told. */
    activeHigh: boolean | null;
    /** Longest time between an edge up and the next, in s. */
    longest: number | null;
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

/** What is asked with the complaint. */
export interface Question {
    test: string;
    title: string;
    choices: Choice[];
}

/** A reading as pages show it. */
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
    /** Name of the person. */
    by: string;
}

/** A reading, or the map, that speaks for or against a suspect. */
export interface ReasonShown {
    readings: string[];
    speaks: 'for' | 'against';
    /** Natural logarithm of what it does to the odds. */
    weight: number;
    sentence: string;
}

export interface RemedyPage {
    job: JobHead;
    open: boolean;
    outlook: OutlookShown;
    potted: boolean;
    standing: string;
    choices: ChoiceEntry[];
    tools: ToolWorth[];
    breakEven: BreakEvenShown | null;
}

/** A way to cure the machine, priced. */
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
    /** Null when it is not to be had. */
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
    left: LeftShown[];
}

export interface ReopenedEntry {
    id: string;
    at: string | null;
    by: string | null;
    kind: 'reopened';
    cameBack: boolean;
    reason: string;
}

/** How often something was replaced on a model. */
export interface ReplacedCount {
    label: string;
    times: number;
    /** Of which as many are known to have cured the machine. */
    held: number;
    /** And as many not. */
    not: number;
}

/** A part that was replaced, with the verdict under which it was. */
export interface ReplacementShown {
    id: string;
    remedy: string;
    label: string;
    partNumber: string | null;
    note: string | null;
    temporaryUntil: string | null;
    at: string;
    verdict: VerdictThen | null;
    by: string | null;
}

export interface ReplayPage {
    job: JobHead;
    /** One for each part that was replaced in vain. */
    replays: ReplayShown[];
    /** That was noted. */
    lesson: string | null;
    /** Id of the replacement that it is about. */
    lessonOf: string | null;
}

/** A verdict that did not hold, gone through once more. */
export interface ReplayShown {
    /** Id of what was replaced in vain. */
    replacement: string;
    /** Its label. */
    chosen: string;
    /** What it was in the end, or what leads now; null where that is not known. */
    truth: string | null;
    /** Whether that is only what leads now. */
    supposed: boolean;
    /** Chance that the verdict stated; null where a part was replaced without one. */
    stated: number | null;
    /** In the order taken. */
    steps: ReplayStep[];
    /** Number of the step that spoke most for the wrong one; null where none did. */
    misled: number | null;
    /** What went wrong, in one sentence. */
    because: string;
    /** Tests that were not done and tell the two apart, the best first. */
    told: ToldShown[];
    /** What to note next time, as it is proposed. */
    lesson: string;
}

/** One reading, and what was believed after it. */
export interface ReplayStep {
    test: string;
    reading: string;
    /** Chance of what was replaced in vain. */
    chosen: number;
    /** Chance of what it was in the end. */
    truth: number;
    /** Natural logarithm of what it did to the odds of the truth over the other. */
    speaks: number;
}

export interface ResultJobsPage {
    /** What they have in common. */
    title: string;
    which: string;
    /** The newest first. */
    jobs: JobListed[];
    /** Whether there are older ones. */
    more: boolean;
    /** Address of the results. */
    back: string;
}

/** Results of some jobs together. */
export interface ResultRow {
    /** What they have in common, as an address says it. */
    of: string;
    label: string;
    /** Closed ones. */
    jobs: number;
    /** Of those whose end says it, how many were right the first time. */
    right: Share;
    cameBack: number;
    /** A job, between its readings and without breaks. */
    minutes: number | null;
    /** Money a job that a perfect guess had saved: for tests, for parts in vain and for coming back; over jobs whose price of guessing is known. */
    avoidable: number | null;
    /** What buying on the speed map would have taken in its place, of the same jobs. */
    guessing: number | null;
}

export type ResultsBy =
    | 'month'
    | 'family'
    | 'model'
    | 'person';

export interface ResultsPage {
    by: ResultsBy;
    ways: Choice[];
    /** First month, YYYY-MM. */
    from: string;
    /** Last month. */
    until: string;
    all: ResultRow;
    rows: ResultRow[];
    /** The same jobs by month, the oldest first. */
    months: ResultRow[];
}

export type Role =
    | 'trainee'
    | 'technician'
    | 'lead';

/** The route that worked on the same model. */
export interface RouteShown {
    job: string;
    id: string;
    minutes: number | null;
    mean: number | null;
    jobs: number;
    steps: DownEntry[];
    kit: KitEntry[];
}

/** A procedure that was begun. */
export interface RunListed {
    id: string;
    key: string;
    title: string;
    job: string | null;
    at: string;
    state: string;
}

export interface RunPage {
    run: RunShown;
    job: JobHead | null;
}

/** A procedure as it is worked. */
export interface RunShown {
    id: string;
    procedure: Procedure;
    step: number;
    since: number;
    now: number;
    remaining: number;
    late: boolean;
    finished: boolean;
    aborted: string | null;
    startedAt: string;
}

export type Rung =
    | 'first'
    | 'map'
    | 'guess'
    | 'own-way'
    | 'chains'
    | 'comes-and-goes'
    | 'nothing'
    | 'unlisted';

/** A rung of a family's ladder, and how far a person is on it. */
export interface RungShown {
    key: Rung;
    title: string;
    about: string;
    /** By the last time. */
    state: 'passed' | 'failed' | 'open';
}

export interface ScorePage {
    job: JobHead;
    way: PracticeWay;
    strip: Strip;
    sheet: DrawnSheet;
    score: ScoreShown;
}

/** What came of an exercise, step by step. */
export interface ScoreShown {
    points: number;
    passed: boolean;
    right: boolean;
    /** Whether it was right, in a sentence. */
    verdict: string;
    /** What was hidden. */
    hidden: string;
    steps: ExerciseStep[];
    /** Own, the engine's, the best. */
    courses: CourseShown[];
    hints: number;
    /** Steps that told next to nothing. */
    needless: number;
    /** Measurements that were not written down. */
    unwritten: number;
    /** Why it was stopped. */
    danger: string | null;
    /** How far what was believed was off, beside the odds; null where nothing was guessed. */
    believed: string | null;
    /** Keys of what went wrong: kinds of test and of fault to take up again. */
    weak: string[];
}

/** One position of a test that is taken in all of them. */
export interface SeriesStep {
    test: string;
    position: string;
    expected: number | null;
    expectedText: string;
    read: number | null;
    text: string | null;
}

/** Units that a lead has set, as a person finds them. */
export interface SetShown {
    id: string;
    title: string;
    way: string;
    by: string;
    madeAt: string;
    units: SetUnitShown[];
}

/** One unit of a set, and how far the person is with it. */
export interface SetUnitShown {
    circuit: string;
    /** Of the person on it; null where it was not begun. */
    job: string | null;
    over: boolean;
}

export interface SettingsPage {
    name: string;
    address: string;
    contact: string;
    currency: string;
    labourPerHour: number;
    comeBackHours: number;
    taxLine: string;
    unitSystem: string;
    /** HH:MM. */
    opensAt: string;
    /** HH:MM. */
    closesAt: string;
    timeZone: string;
    timeZones: string[];
    /** "mon" to "sun". */
    workingDays: string[];
    tools: Choice[];
    /** Keys of those that the workshop does not own. */
    missingTools: string[];
    /** With which diagnoses begin: its own, or those that ship. */
    odds: string;
    /** Within which the same part again raises what lies upstream; 0 for never. */
    againMonths: number;
}

/** Something that was left open, and who settled it. */
export interface SettledItem {
    what: string;
    who: string;
    how: string;
    at: string | null;
}

/** So many of so many, and how far the share behind it may lie from that. */
export interface Share {
    of: number;
    all: number;
    share: number;
    /** The share lies between this .... */
    low: number;
    /** ... and this, nineteen times of twenty. */
    high: number;
}

export interface SignInPage {
    demo: DemoShown | null;
}

/** Who is signed in. */
export interface SignedIn {
    id: number;
    name: string;
    role: Role;
    workshop: string;
    currency: string;
    /** What this person's role allows. */
    may: Ability[];
    /** That this person chose for all devices. */
    theme: string | null;
    numbers: NumberLanguage;
}

/** A request that took longer than anybody should wait. */
export interface SlowRequest {
    /** Its number, as it stands in the log. */
    request: string;
    route: string;
    milliseconds: number;
    at: string;
}

/** Where parts were bought, and what came of them. */
export interface SourceShown {
    source: string;
    /** That were ordered there. */
    parts: number;
    /** The usual ones. */
    leadDays: number | null;
    /** As a multiple of what ships. */
    price: number | null;
    /** Of those of which it is known. */
    cameBack: Share;
}

export type SpeedState =
    | 'right'
    | 'slow'
    | 'fast'
    | 'dead'
    | 'cuts-out'
    | 'runs'
    | 'stays'
    | 'overruns';

/** What a position may be doing, and what that is called in it. */
export interface StateChoice {
    value: SpeedState;
    label: string;
}

/** One thing to do. */
export interface Step {
    text: string;
    /** What can hurt, before it. */
    cautions: string[];
    /** Time to pass once it was begun. */
    wait: Wait | null;
    /** What should be seen at its end. */
    expect: string | null;
    /** What to do when that is not seen. */
    otherwise: string | null;
    /** For what cannot be undone: what lies behind, and the other way. */
    confirm: string | null;
}

/** A step of the strip-down, and how much of it is back on. */
export interface StepBack {
    id: string;
    what: string;
    count: number;
    back: number;
    left: number;
    reason: string | null;
    done: boolean;
}

/** Pulses in one position of the selector. */
export interface StepShown {
    position: string;
    duty: number | null;
    pulsed: boolean;
    frequency: number | null;
    low: number;
    high: number;
    missing: number;
}

/** The positions of the selector beside each other. */
export interface StepsShown {
    rows: StepShown[];
    findings: string[];
}

/** The speed strip: the cells, and every map laid over them. */
export interface Strip {
    cells: StripCell[];
    maps: MapShown[];
}

/** One position of a small strip. */
export interface StripBar {
    label: string;
    /** Whether something should run there. */
    runs: boolean;
    /** That was heard last; null where it was not tried. */
    state: SpeedState | null;
    /** What that is called at this position. */
    word: string | null;
}

/** A position with the speed that a sound machine has in it. */
export interface StripCell {
    key: string;
    label: string;
    /** Whether something should run in it. */
    runs: boolean;
    states: StateChoice[];
    /** As a part of the highest. */
    expected: number;
}

export interface StripPage {
    job: JobHead;
    open: boolean;
    found: FoundEntry[];
    kit: KitShown[];
    down: DownEntry[];
    steps: StepBack[];
    leftOver: number;
    missingBefore: number;
    minutes: number | null;
    photos: PhotoHead[];
    route: RouteShown | null;
    tray: TrayPlace[];
}

/** What may have to be replaced, with its odds and the reasons for them. */
export interface SuspectShown {
    remedy: string;
    label: string;
    probability: number;
    cost: number;
    faults: FaultShown[];
    reasons: ReasonShown[];
    origins: OriginShown[];
}

export interface SwapPage {
    job: JobHead;
    open: boolean;
    choice: ChoiceEntry | null;
    changes: string[];
    leading: string;
    parts: Named[];
    repairCaution: string;
    temporary: TemporaryShown | null;
    tests: PartTest[];
    measured: PartMeasured[];
    procedures: Titled[];
    runs: RunListed[];
    replacements: ReplacementShown[];
}

/** Switches of the old part and how they are set on the new one. */
export interface SwitchRow {
    id: string;
    name: string;
    old: string;
    new: string | null;
    reason: string;
}

export type Symbol =
    | 'wire'
    | 'resistor'
    | 'fuse'
    | 'contact'
    | 'relay'
    | 'plug'
    | 'motor'
    | 'battery'
    | 'coil'
    | 'module'
    | 'signal'
    | 'mains'
    | 'transformer'
    | 'vacuum'
    | 'tank'
    | 'one-way'
    | 'diaphragm'
    | 'winding'
    | 'capacitor'
    | 'jumper'
    | 'lamp';

export interface TeachPage {
    circuits: CircuitKinds[];
    mostUnits: number;
    sets: SetShown[];
    /** Of others and one's own, newest first, that who did them has seen. */
    results: ExerciseListed[];
    /** Results that who did them has not looked at yet. */
    unseen: number;
}

/** A part that may be kept running for some days. */
export interface TemporaryShown {
    part: string;
    name: string;
    days: string;
    latest: string;
    objection: string | null;
    cautions: string[];
    steps: string[];
}

export type TermKind =
    | 'test'
    | 'access'
    | 'fitting'
    | 'price'
    | 'lead'
    | 'come-back'
    | 'life';

/** What something takes: as shipped, as learned, and as pinned. */
export interface TermShown {
    kind: TermKind;
    key: string;
    label: string;
    shipped: number;
    own: number;
    /** From how many observations it was learned. */
    noted: number;
    pinned: number | null;
}

export interface TermsPage {
    families: Choice[];
    family: string;
    terms: TermShown[];
    /** That were ordered from most, first. */
    sources: SourceShown[];
}

/** A test that is left, and what it is worth. */
export interface TestChoiceShown {
    key: string;
    title: string;
    /** Money that it saves beyond its own cost. */
    gain: number;
    saves: number;
    cost: number;
    minutes: number;
    /** Bits. */
    information: number;
    elements: string[];
}

/** The best test that is left, in money. */
export interface TestWorth {
    title: string;
    costs: number;
    saves: number;
    makesSure: boolean;
}

/** Something that is done, by its key, and its title. */
export interface Titled {
    key: string;
    title: string;
}

/** A test that would have told two remedies apart, with what it shows under each. */
export interface ToldShown {
    key: string;
    test: string;
    minutes: number;
    underChosen: string;
    underTruth: string;
    /** Bits between the two at even odds. */
    information: number;
}

/** A tool that tests of the circuit need. */
export interface Tool {
    key: string;
    label: string;
    atHand: boolean;
}

/** What a tool saves on a complaint like this one. */
export interface ToolWorth {
    key: string;
    label: string;
    saving: number;
}

/** A warning of readings that say less or something else than they seem to. */
export interface TrapShown {
    trap: string;
    readings: string[];
    sentence: string;
}

/** Fasteners of one step that lie together. */
export interface TrayItem {
    /** Its number in the order taken off, from one. */
    step: number;
    /** That they held. */
    what: string;
    head: FastenerHead;
    /** Head and size as they were told. */
    name: string;
    /** Length, where it was told. */
    millimetres: number | null;
    count: number;
    /** How many still lie there. */
    left: number;
}

/** One place of the tray, box or floor where fasteners lie. */
export interface TrayPlace {
    where: string;
    /** In the order taken off. */
    items: TrayItem[];
}

/** A procedure as a person writes it: one line a caution, times as "4:30" or "5 min". */
export interface TypedProcedure {
    title: string;
    summary: string;
    families: string[];
    cautions: string;
    steps: TypedStep[];
    abort: string;
}

/** One step as a person writes it. What is empty is not there. */
export interface TypedStep {
    text: string;
    /** One a line. */
    cautions: string;
    /** Time that has to pass, as "4:30", "90 s" or "5 min". */
    least: string;
    /** Time after which it has gone wrong. */
    most: string;
    reason: string;
    /** Whether the wait grows with a capacitor that is told. */
    charge: boolean;
    expect: string;
    otherwise: string;
    confirm: string;
}

/** A quantity that is written in more than one unit. */
export interface UnitChoice {
    base: string;
    label: string;
    unit: string;
    choices: string[];
}

/** A unit that is offered while its name is typed. */
export interface UnitNamed {
    name: string;
    place: string | null;
    model: string | null;
}

/** A unit beside another one: of the same model, or perhaps the same twice. */
export interface UnitNear {
    id: string;
    name: string;
    place: string | null;
    model: string | null;
    jobs: number;
}

export interface UnitPage {
    id: string;
    name: string;
    place: string | null;
    model: string | null;
    note: string | null;
    retired: boolean;
    /** The newest first. */
    jobs: JobListed[];
    /** Whether there are older ones. */
    more: boolean;
    /** The newest first. */
    fitted: FittedPart[];
    /** That is usually taken to what is replaced. */
    route: RouteShown | null;
    /** From the readings of the newest job on the bench. */
    learned: LearnedShown[];
    /** Number of that job. */
    learnedIn: string | null;
    /** That may be the same unit twice. */
    alike: UnitNear[];
}

/** A unit that the workshop knows. */
export interface UnitShown {
    id: string;
    name: string;
    place: string | null;
    model: string | null;
    note: string | null;
    history: PastJob[];
    /** What was replaced on it or its model not long ago. */
    again: Again[];
}

/** A job with a verdict that did not hold. */
export interface VainShown {
    listed: JobListed;
    lesson: string | null;
}

export interface VerdictPage {
    job: JobHead;
    strip: Strip;
    readings: ReadingShown[];
    replacements: ReplacementShown[];
    diagnosis: DiagnosisShown;
    sheet: DrawnSheet;
    open: boolean;
    guessedOnTheMap: number;
    outlook: OutlookShown;
    refit: string[];
    part: string | null;
    leadsOn: LeadOn[];
    held: HeldEntry[];
    /** On its model, of verdicts that did not hold. */
    lessons: string[];
}

/** The part to replace. */
export interface VerdictShown {
    remedy: string;
    label: string;
    probability: number;
    byElimination: boolean;
    /** Whether no cause is left to look at. */
    final: boolean;
    causes: CauseShown[];
}

/** What the diagnosis said when a part was replaced. */
export interface VerdictThen {
    /** Null where nothing was sure. */
    label: string | null;
    probability: number | null;
    /** Money that buying on the map alone would have wasted on average. */
    guessing: number;
    reasons: string[];
}

/** A time that has to pass before a step is done. */
export interface Wait {
    /** Seconds that must pass. */
    least: number;
    /** Seconds after which it has gone wrong; null when it may take any longer. */
    most: number | null;
    /** Why it is waited for. */
    reason: string;
    /** What lengthens it: "stored-charge" by the capacitor that is told when the procedure starts. */
    formula: string | null;
}

/** Colour of a wire, with its stripe, as it is said or printed. */
export interface WireColour {
    base: string;
    stripe: string | null;
}

/** The terminals of the old part and of the new one, with the wires that move between them. */
export interface WireFaces {
    old: PlugFace;
    new: PlugFace;
    paths: WirePath[];
}

/** A wire from its terminal on the old part to that on the new one. */
export interface WirePath {
    from: string;
    to: string;
    tag: string;
    colour: WireColour | null;
    /** Whether it was moved, pulled and seen to be right. */
    done: boolean;
}

/** A wire that moves from the old part to the new one. */
export interface WireRow {
    id: string;
    function: string;
    from: string;
    to: string;
    colour: string;
    label: string;
    moved: boolean;
    checked: boolean;
}

export interface WiresPage {
    job: JobHead;
    open: boolean;
    method: string | null;
    rows: WireRow[];
    warnings: string[];
    switches: SwitchRow[];
    plugs: PlugEntry[];
    undone: string[];
    functions: string[];
    faces: WireFaces | null;
}

/** A value that a worksheet works out. */
export interface WorkedShown {
    label: string;
    quantity: Quantity;
    test: string;
}

export interface WriteProcedurePage {
    /** Of the one that is changed; null for a new one. */
    key: string | null;
    typed: TypedProcedure;
    /** Of circuits. */
    families: FamilyHead[];
}
