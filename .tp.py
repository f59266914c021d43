def sub(p,*pairs):
    s=open(p).read()
    for a,b in pairs:
        assert a in s,(p,a)
        s=s.replace(a,b,1)
    open(p,'w').write(s)
sub('desk/features/shopfront/sections/strip-fields.tsx',("      <SourceFields {...props} />\n","      <SourceFields {...props} />\n      {note && !isOwn && <ComesAndGoes key={section.id} goods={note.goods} />}\n"),("import type { SectionFieldsProps }","import { ComesAndGoes } from './comes-and-goes';\nimport type { SectionFieldsProps }"))
sub('desk/features/shopfront/floor/floor-page.tsx',
("""  const lit = useMemo<FloorAsked>(() => {
    if (litKey === 'tray') return { ids: [...trayIds] };
""","""  const ruleText = params.get('if');
  const rule = useMemo(() => readRule(ruleText), [ruleText]);
  const [isRuling, setRuling] = useState(false);
  const lit = useMemo<FloorAsked>(() => {
    if (litKey === 'tray') return { ids: [...trayIds] };
    if (litKey === 'rule') return rule.of.length > 0 ? { rule } : null;
"""),
("  }, [litKey, trayIds]);","  }, [litKey, trayIds, rule]);"),
("litKey && litKey !== 'tray' ? targetOf","litKey?.includes(':') ? targetOf"),
("""  const light = (key: string | null) => show(key, isWarm);
""","""  const light = (key: string | null) => show(key, isWarm);
  const lightRule = (next: Rule) =>
    setParams({ view: 'floor', lit: 'rule', if: JSON.stringify(next), ...(isWarm && { seen: 'yes' }) });
"""),
("""  const show = (lit: string | null, warm: boolean) =>
    setParams({ view: 'floor', ...(lit !== null && { lit }), ...(warm && { seen: 'yes' }) });""","""  const show = (key: string | null, warm: boolean) =>
    setParams({
      view: 'floor',
      ...(key !== null && { lit: key }),
      ...(key === 'rule' && { if: ruleText ?? '' }),
      ...(warm && { seen: 'yes' }),
    });"""),
("""            ) : litKey === 'tray' ? (""","""            ) : litKey === 'rule' ? (
              <>
                <Button look="bare" onClick={() => setRuling(true)}>
                  what a rule takes in …
                </Button>
                <Button look="bare" aria-label="Put the rule out" onClick={() => light(null)}>
                  ×
                </Button>
              </>
            ) : litKey === 'tray' ? ("""),
("""                {trayIds.length > 0 && (""","""                <Button
                  look="bare"
                  onClick={() => {
                    lightRule(rule);
                    setRuling(true);
                  }}
                >
                  a rule …
                </Button>
                {trayIds.length > 0 && ("""),
("""      <aside
        aria-label="About the floor\"""","""      {isRuling && (
        <Dialog title="Light up what a rule takes in" isOpen close={() => setRuling(false)} width="max-w-2xl">
          <RuleField rule={rule} change={lightRule} />
          <Button look="main" className="mt-4" onClick={() => setRuling(false)}>
            Show them
          </Button>
        </Dialog>
      )}
      <aside
        aria-label="About the floor\""""),
("import { useCallback, useMemo } from 'react';","import { useCallback, useMemo, useState } from 'react';"),
("import type { Target } from","import { EMPTY_RULE, ruleSchema, type Rule } from '../../../../core/model/rule';\nimport type { Target } from"),
("import { useTray }","import { RuleField } from '../../../shared/rules/rule-field';\nimport { useTray }"),
("import { Failed, Loading }","import { Dialog } from '../../../shared/ui/dialog';\nimport { Failed, Loading }"),
("/** Pages side by side by","""/** The rule in an address; an empty one for anything else. */
function readRule(text: string | null): Rule {
  try {
    return ruleSchema.parse(JSON.parse(text ?? ''));
  } catch {
    return EMPTY_RULE;
  }
}

/** Pages side by side by"""),
)
sub('desk/features/shopfront/floor/floor-page.test.tsx',("test('what stands on a page twice","""test('what a rule takes in is lit, and the rule is changed there', async () => {
  const floor = await opened();
  await userEvent.click(screen.getByRole('button', { name: 'a rule …' }));
  const dialog = await screen.findByRole('dialog');
  await userEvent.type(await within(dialog).findByRole('combobox', { name: /condition|field/i }), 'title');
  await userEvent.click(await screen.findByRole('option', { name: 'Title' }));
  await userEvent.type(within(dialog).getByLabelText('Title'), 'wren');
  await userEvent.click(within(dialog).getByRole('button', { name: 'Show them' }));
  expect(await within(about()).findByText(/Wren|one product/)).toBeTruthy();
  expect(await within(floor).findByText(/^[12] lit$/)).toBeTruthy();
});

test('what stands on a page twice"""))
