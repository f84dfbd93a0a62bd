/** What a step is, in German, by its id; what a practice wrote itself stays as it is. */
export const WHAT_DE: Readonly<Record<string, string>> = {
	'raised-seat-hands': 'Von einem erhöhten Sitz aufstehen, beide Hände auf etwas Festem.',
	'raised-seat': 'Ohne Hände aufstehen. Braucht es Hände, dann den Sitz erhöhen und die Hände weglassen.',
	'momentum-rise':
		'Für steife oder frisch operierte Knie und kalte Morgen: Rücken gerade, den Rumpf nach vorn schwingen, gerade hochdrücken, sobald das Gewicht auf den Füßen ist. Mit der Hüfte zuerst hinsetzen.',
	'loaded-momentum-rise': 'Ein Gewicht vor der Brust, dann zwei an den Seiten; zwei bis fünf Kilogramm.',
	'staggered-seat': 'Ein Fuß vorn als leichter Ständer: die erste einseitige Arbeit.',
	'standard-seat':
		'Ein gewöhnlicher Stuhl, 42–46 cm. Etwas davor stehen, damit die Hüfte nach hinten geht; berühren oder schweben.',
	'banded-seat-squat': 'Ein Band über den Knien, nach außen drücken, auf einen Stuhl hinunter und hinauf.',
	'rise-and-reach': 'Aufstehen und beide Arme in einem Zug nach oben, ohne Gewicht.',
	'rise-and-press': 'Aufstehen und in einem Zug über den Kopf drücken.',
	'counter-squat': 'An Arbeitsplatte oder Stange festhalten und sich nach hinten setzen. Klein genügt.',
	'stacked-hold':
		'An der Arbeitsplatte, das Becken leicht gekippt, Rippen über dem Becken: halten. Sind die Bauchmuskeln nicht zu spüren: länger halten, dann die Arme nach vorn, dann länger ausatmen.',
	'stacked-short-squat': 'Kleine Kniebeugen, nie ganz bis zum Stehen: oben keine Pause.',
	'free-squat': 'Ohne Halt, so tief wie für diesen Körper berechnet. Eine viertel Kniebeuge zählt schon.',
	'banded-squat': 'Ein Band um die Knie, nach außen drücken: gegen Knie, die nach innen gehen.',
	'narrow-squat': 'Die Füße eng zusammen: mehr für die äußere Hüfte.',
	'wide-squat':
		'Die Füße weit, die Zehen nur so weit nach außen, wie Knie und Hüfte folgen: mehr für die Innenseite.',
	'slow-heels-raised-squat': 'Fersen auf Keil oder Platten, 3–4 s hinunter und 3–4 s hinauf, ohne Gewicht.',
	'goblet-squat': 'Ein Gewicht vor der Brust, Ellbogen am Körper.',
	'shoulder-loaded-squat': 'Ein Gewicht auf einer Schulter, dann zwei.',
	'heels-raised-goblet':
		'Spät in der Einheit, 12–15 Wiederholungen. Ein Keil von 4–5 cm ist ein üblicher Anfang, mehr ist leichter; die Arme setzen die Grenze.',
	'toe-touch-squat':
		'Das Gewicht auf einem Bein, die Zehen des anderen berühren den Boden; Halt ist erlaubt; beide Seiten gleich.',
	'single-leg-to-seat': 'Auf einem Bein auf einen Sitz hinunter und wieder aufstehen.',
	'single-leg-squat': 'Kniebeuge auf einem Bein, so tief sie beherrscht bleibt.',
	'heels-raised-single-leg-squat':
		'Langsam, über den ganzen Weg des Sprunggelenks; für alle, die mit den Knien nach vorn üben.',
	'low-step-up': 'Der ganze Fuß auf einer Stufe, niedriger als gedacht; eine Hand an etwas Festem.',
	'lateral-step-up': 'Neben der Stufe stehen und seitlich hinauf; das andere Bein folgt nur.',
	'step-up-held': 'Höhe einer gewöhnlichen Treppe, eine Hand am Geländer.',
	'step-up': 'Oben anhalten, nach Knie und Becken sehen, ebenso langsam hinunter.',
	'loaded-step-up': 'Ein Gewicht in jeder Hand, gleiche Höhe, gleich langsam.',
	'high-step-up': 'Eine Stufe, so hoch es sauber bleibt, ohne Abstoßen hinten.',
	'step-down-tap':
		'Von einer niedrigen Stufe tippt die freie Ferse auf den Boden und kommt zurück; Rumpf aufrecht. Die stehende Ferse darf auf einem Keil sein.',
	'high-step-down': 'Dasselbe von einer gewöhnlichen Treppe, vier Sekunden hinunter.',
	'held-split-squat': 'Langer Stand, ein Finger an der Wand zählt. Gerade hinunter zwischen den Füßen.',
	'split-squat':
		'Gerade hinunter, Steißbein nach unten, Scheitel nach oben; fast kein Gewicht auf dem hinteren Bein.',
	'goblet-split-squat': 'Ein Gewicht vor der Brust, Ellbogen am Körper.',
	'reverse-lunge-held':
		'Am Geländer einen Schritt zurück und wieder vor. Rückwärts ist für das Knie sanfter: kein Schwung nach vorn.',
	'reverse-lunge': 'Zurück auf den Fußballen treten, senken, wieder hochdrücken.',
	'loaded-reverse-lunge': 'Ein Gewicht in jeder Hand oder eines vor der Brust.',
	'front-raised-split-squat':
		'Eine Erhöhung unter dem vorderen Fuß gibt dem Gesäß mehr Weg; Rumpf in Linie mit dem Schienbein; die hinteren Zehen bleiben hoch.',
	'held-side-lunge':
		'Eine Arbeitsplatte vor sich, beide Füße flach, die Hüfte geht über ein Bein zurück; klein genügt.',
	'loaded-front-raised-split-squat': 'Gewichte hängen an den Seiten, Schultern zurück.',
	'side-lunge':
		'Beide Füße flach, die Hüfte geht über ein Bein zurück, das andere bleibt lang. Für Zehen, die sich nicht beugen.',
	'goblet-side-lunge': 'Ein leichtes Gewicht vor der Brust oder eine Weste.',
	'forward-lunge':
		'Langsam: Schritt, anhalten, gerade richten, anspannen, etwas beugen, senken. Manche lassen ihn ganz: rückwärts bringt dasselbe.',
	'walking-lunge': 'Ausfallschritt um Ausfallschritt durch den Raum, dazwischen anhalten.',
	'crossed-lunge':
		'Ein Bein kreuzt hinten, die Hüfte bleibt gerade, die äußere Hüfte arbeitet und dehnt sich.',
	'stick-lunge-1':
		'Ein Stab von 180 cm, neben der hinteren Schulter in den Boden gedrückt; so tief, wie die vordere Ferse unten bleibt, zweimal je Seite.',
	'stick-lunge-2':
		'Zuerst das hintere Bein strecken; dann darf das Knie aufliegen; groß werden, den Arm öffnen, drei Atemzüge.',
	'stick-lunge-3': 'Der Stab am vorderen Fußgewölbe; den Boden nicht berühren: unten drei Atemzüge.',
	'wide-shift-lunge':
		'Eher weit zur Seite als weit nach vorn; das Becken über dem vorderen Bein und zum hinteren gedreht, Füße gerade, die Leiste öffnet sich. Dann kippen, dann die Arme: eins nach dem anderen.',
	'seated-hinge':
		'Auf einem Stuhl, Füße weit: mit langem Rücken aus der Hüfte vorbeugen und hochkommen. Für alle, die nicht knien können.',
	'kneeling-hinge':
		'Aufrecht knien, mit langem Rücken zu den Fersen zurücksetzen. Der Anfang, der einem ängstlichen Rücken nicht droht.',
	'arm-set':
		'Aufrecht sitzen, die Arme nach unten und hinten gezogen, Achseln fest, drei bis fünf Sekunden: vor jeder ersten Last.',
	'hands-on-thighs-hinge':
		'Die Hände gleiten an den Oberschenkeln zu den Knien: sie tragen einen Teil des Rumpfes.',
	'wall-reach-hinge': 'Vor einer Wand stehen, Finger in der Leistenfalte; das Gesäß sucht die Wand.',
	'free-hinge': 'Zehn bis fünfzehn mit Leichtigkeit und ohne nennenswerten Schmerz, vor jedem Gewicht.',
	'stick-hinge':
		'Ein Stab berührt die ganze Zeit Kopf, oberen Rücken und Steißbein. Spät, nicht zuerst: es ist viel zu beachten.',
	'hinge-loaded': 'Gewichte dicht an den Oberschenkeln; acht bis zehn, mehr, wenn es leicht ist.',
	'raised-handle-deadlift': 'Die Last steht aufrecht oder auf Blöcken, damit der Weg kurz ist.',
	'low-handle-deadlift': 'Ein flaches Gewicht; einige Zentimeter vorher aufzuhören ist erlaubt.',
	'straight-knee-hinge':
		'Knie gestreckt, nicht durchgedrückt; zehn, dann dreimal zehn, dann leichte Gewichte. Gestreckt oder weich: die Schulen sind uneins.',
	'straight-knee-hinge-loaded': 'Dasselbe mit leichten Gewichten.',
	'staggered-hinge': 'Die hinteren Zehen berühren nur; die vordere Hüfte arbeitet.',
	'single-leg-hinge':
		'Das freie Bein geht in Linie mit dem Rumpf nach hinten; die Hüfte bleibt waagerecht. Ein Finger an der Wand zählt.',
	bridge: 'Eine gerade Linie von den Knien zu den Schultern; höher macht nur ein Hohlkreuz.',
	'far-feet-bridge':
		'Die Füße weiter vom Gesäß: das Knie beugt weniger, die Rückseite des Oberschenkels arbeitet mehr.',
	'banded-bridge': 'Ein Band über den Knien; auf dem ganzen Weg nach außen drücken.',
	'weighted-bridge': 'Ein Polster unter dem Gewicht, die Hände halten es auf der Hüfte.',
	'arms-up-bridge': 'Die Arme zeigen zur Decke: weniger zum Abstützen.',
	'single-leg-bridge': 'Fünf je Seite, dann wechseln; drei, wenn es schwer ist.',
	'weighted-single-leg-bridge': 'Das Gewicht auf der arbeitenden Hüfte.',
	'feet-raised-bridge': 'Die Füße auf Stuhl oder Bank.',
	'hung-feet-bridge': 'Die Fersen in Schlaufen auf Kniehöhe: heben, und die Füße nicht pendeln lassen.',
	'bench-bridge': 'Oberer Rücken auf Bank oder Ball: mehr Weg für die Hüfte.',
	'loaded-bench-bridge': 'Eine gepolsterte Stange oder ein Gewicht auf der Hüfte.',
	'standing-hip-extension':
		'Festgehalten; das gebeugte Bein geht zurück, ohne dass der Rücken mitmacht. Beide Seiten arbeiten.',
	'kneeling-hip-extension': 'Das Knie bleibt gebeugt, die Ferse drückt zur Decke.',
	'plank-hip-extension': 'Aus dem Unterarmstütz ein gestrecktes Bein heben.',
	'plank-knee-in': 'Das Knie unter die Brust, dann lang nach hinten.',
	'lunge-to-plank-extension':
		'Hände am Boden in einem tiefen Ausfallschritt: das hintere Bein schwingt lang nach oben und setzt weich auf.',
	'wall-press':
		'Neben einer Wand drückt das nahe Knie mit halber Kraft drei bis fünf Sekunden dagegen; in beiden Hüften zu spüren.',
	clamshell: 'Fersen in Linie mit dem Gesäß, das Becken zeigt nach vorn; fünf genügen, wenn sie sauber sind.',
	'side-lying-lift': 'Das ganze gebeugte Bein hebt sich waagerecht, Knie und Fuß zusammen.',
	'banded-clamshell': 'Ein Band über den Knien.',
	'straight-leg-lift': 'Das Bein lang und etwas hinter dem Körper, Zehen nach vorn, die Ferse führt.',
	'ankle-band-lift': 'Der längste Hebel von diesen.',
	'standing-abduction':
		'Festgehalten, das Standknie weich; die stehende Seite arbeitet so viel wie die bewegte.',
	'banded-standing-abduction': 'Ein Band an den Knöcheln, langsam zurück.',
	'monster-walk': 'Kleine Kniebeuge, zehn bis fünfzehn Schritte in jede Richtung, das Band nie locker.',
	'monster-walk-shins': 'Das Band in der Mitte der Schienbeine.',
	'monster-walk-ankles': 'Das Band an den Knöcheln.',
	'side-plank-knees': 'Auf dem Unterarm, oder auf der Hand, wenn der Ellbogen schmerzt; Knie gebeugt.',
	'side-plank': 'Von den Füßen aus, eine Linie.',
	'side-plank-leg-hold': 'Das obere Bein gebeugt und gehoben, so gehalten, während die Linie bleibt.',
	'side-plank-lift': 'Das obere Bein hebt sich, während die Linie bleibt.',
	'hook-squeeze': 'Auf dem Rücken, Knie gebeugt, ein Kissen zwischen den Knien; halbe Kraft.',
	'pillow-squeeze':
		'Im Sitzen, ein gefaltetes Kissen, Füße eng, damit die Knie über den Knöcheln sind; halbe Kraft, drei bis fünf Sekunden. Gut an steifen Morgen oder nach dem Gehen.',
	'inner-thigh-lift': 'Auf der Seite liegend hebt sich das untere gestreckte Bein.',
	'quad-set': 'Das Bein gestreckt am Boden: die Kniekehle nach unten drücken, drei bis fünf Sekunden halten.',
	'straight-leg-raise':
		'Im Liegen, ein Knie gebeugt: zuerst den Oberschenkel anspannen, dann das gestreckte Bein bis zur Höhe des anderen Knies heben.',
	'short-arc':
		'Über einer Rolle: die letzten 15–30° bis gestreckt. Die alte Gewohnheit; siehe den Hinweis zur Vorderseite des Knies.',
	'mid-arc': 'Im Sitzen, von 90° bis 45°: die sanftere Hälfte, wenn es vorn am Knie schmerzt.',
	'long-arc': 'Im Sitzen, von 90° bis gestreckt, zwei bis drei Sekunden halten, langsam senken.',
	'cuff-long-arc': 'Eine Gewichtsmanschette am Knöchel: gestreckt am schwersten, bei 90° nichts.',
	'leg-extension':
		'Rücken angelehnt, ohne Lücke, Polster über dem Knöchel, in beide Richtungen beherrscht. Der Widerstand ist überall etwa gleich.',
	'seated-curl': 'Hier ist der Rücken am besten gestützt; die Wahl bei wundem Rücken.',
	'prone-curl':
		'Eine Rolle unter dem Becken, vor dem Hinlegen anspannen, die Hüfte bleibt gestreckt, nur so weit es angenehm ist, langsam zurück.',
	'cuff-prone-curl': 'Dasselbe mit einer Manschette am Knöchel.',
	'heel-slide': 'Im Liegen gleitet die Ferse zum Gesäß, ein Gurt darf helfen, am Ende fünf Sekunden.',
	'machine-prone-curl':
		'Anspannen, hinaufsteigen, Füße unter das Polster, die Rolle zuletzt unter das Becken; eine geknickte Bank braucht keine.',
	'standing-curl': 'Festgehalten, die Ferse geht bis etwa 90°; bei jedem Schmerz: lassen.',
	'leg-press':
		'Die Lehne so, dass das Becken unten bleibt; ganzer Fuß; unten keine Pause; in beide Richtungen beherrscht.',
	'single-leg-press': 'Die halbe Last oder weniger, der andere Fuß wartet.',
	'seated-heel-raise': 'Im Sitzen beide Fersen hoch; eine Tasche auf die Knie, wenn es leicht wird.',
	'band-foot-push':
		'Im Langsitz, ein Band um den Fußballen: wegdrücken und langsam kommen lassen. Schont die Zehen.',
	'edge-to-level-heel-raise':
		'Vorfüße auf einer Kante: die Fersen heben sich von unten bis waagerecht, nicht höher. Schont die Zehen.',
	'heel-raise': 'Zwei Füße, Hände an etwas Festem; über die große Zehe drücken, oben zwei Sekunden.',
	'bent-knee-heel-raise': 'Knie etwa 30° gebeugt: die tiefe Wade arbeitet.',
	'one-foot-bent-heel-raise-held':
		'Ein Fuß, das Knie etwa 30° gebeugt, die Hände helfen nur dem Gleichgewicht.',
	'one-foot-bent-heel-raise': 'Ohne Hände: tiefe Wade und Gleichgewicht zusammen.',
	'edge-heel-raise': 'An einer Treppenkante sinken die Fersen darunter, dann oben zwei Sekunden.',
	'one-foot-heel-raise-held': 'Ein Fuß, die Hände helfen nur dem Gleichgewicht.',
	'one-foot-edge-heel-raise': 'Der ganze Weg, die Ferse unter der Kante.',
	'one-foot-heel-raise': 'Ohne Hände: Wade und Gleichgewicht zusammen.',
	'side-by-side-stance': 'Füße nebeneinander, Hände frei.',
	'weight-shift': 'Füße auseinander: das Gewicht geht auf Ballen, Mitte, Fersen und zurück.',
	'staggered-stance':
		'Ein Fuß halb davor; 10–15 s mit freien Händen auf beiden Seiten, ohne viel Bewegung. Was folgt, wartet darauf.',
	'stance-passes':
		'Versetzt, Ellbogen bei 90°; ein Gegenstand geht von Seite zu Seite, die Brust bleibt nach vorn; ein Mal endet in der Mitte. Zwanzig, dann der andere Fuß vorn.',
	'weighted-passes': 'Dasselbe mit einem Gewicht; nur so schwer, wie man sich sicher fühlt.',
	'tandem-stance': 'Ein Fuß genau vor dem anderen, zehn Sekunden.',
	'single-leg-stance': 'Auf einem Bein stehen, die Hüfte waagerecht.',
	'single-leg-head-turns': 'Augen und Kopf bewegen sich zuletzt.',
	march: 'Knie heben auf der Stelle: der übliche Anfang jedes Aufwärmens.',
	jog: 'Auf der Stelle, leicht.',
	'squat-jump': 'Füße nach vorn, Hüfte zurück, weich in derselben Kniebeuge landen.',
	'lateral-hop-touch': 'Zur Seite hüpfen, der andere Fuß tippt für das Gleichgewicht auf.',
	'lateral-hop': 'Ohne Auftippen; jede Landung zwei Sekunden halten.',
	'split-jump': 'Die Füße wechseln in der Luft; nur wenn Sprung und gehende Ausfallschritte sauber sind.',
	'wall-slide-hold': 'Rücken an der Wand, Knie ein wenig gebeugt; halten.',
	'wall-sit-hold': 'Rücken an der Wand, Oberschenkel gegen waagerecht; fünfmal bis 45 s halten.',
	'leg-extension-hold':
		'Im Sitzen, Knie bei 60–90°, gegen etwas drücken, das sich nicht bewegt; fünfmal 45 s kräftig.',
	'heel-raise-hold': 'Auf beiden Füßen hoch, festgehalten; bleiben.',
	'bridge-hold': 'Oben in der Brücke halten.',
	'quad-stretch': 'Festgehalten; Ferse zum Gesäß, Becken kippen, Gesäß anspannen.',
	'kneeling-quad-stretch':
		'Zu den Fersen auf Blöcken zurücksetzen, dann nur so weit zurücklehnen, bis sich das Knie heben will.',
	'one-leg-sit-back':
		'Ein Schienbein untergeschlagen, auf so vielen Kissen, wie es braucht; auf die Hände zurücklehnen.',
	'hip-flexor-stretch': 'Im halben Knien: kippen, sinken, dann den Arm darüber.',
	'standing-hip-flexor-stretch':
		'Für alle, die nicht knien können: ein langer Schritt, hintere Ferse hoch, kippen und etwas sinken.',
	'hamstring-bend':
		'Knie fast gestreckt, flacher Rücken, die Hände gleiten so weit hinunter, wie der Rücken flach bleibt.',
	'figure-four':
		'Auf dem Rücken, Knöchel über das andere Knie, beide heranziehen. Die Haltung für Socken und Schuhe.',
	'ninety-ninety':
		'Auf dem Boden sitzen, beide Knie und die vordere Hüfte bei 90°; Hände hinten als Stütze, dann frei; am Ende drei volle Atemzüge.',
	'hip-axle':
		'Im Neunzig-neunzig-Sitz bleibt das vordere Bein still; das hintere wird hindurch und zurück gehoben, vier bis sechs je Seite.',
	'ninety-switch':
		'Von einer Seite des Neunzig-neunzig-Sitzes zur anderen; das vordere Knie bleibt am längsten unten.',
	'three-way-ankle':
		'Der Fuß auf einer Stufe, das Knie geht über elf, zwölf und ein Uhr, je drei- oder viermal: ein Satz für jede Richtung. Merken, welche Seite steifer ist und was bremst.',
	'groin-opener': 'Weiter Stand, über ein Bein verlagern und bleiben.',
	'knee-to-chest': 'Auf dem Rücken, ein Knie heran, das andere Bein lang.',
	'calf-stretch': 'Hände an der Wand, hintere Ferse unten.',
	'knee-straightening-stretch':
		'Im Liegen oder Sitzen die Ferse hochlegen, Oberschenkel locker: das Knie sinkt durch sein Gewicht.',
	'brace-and-breath':
		'Auf dem Rücken: so viel Spannung wie für diese Last nötig, kurz ausatmen, der untere Rücken locker.',
	'standing-brace-and-breath':
		'Hände auf Bauch und unterem Rücken: bei einer kleinen Kniebeuge ändert sich keins von beiden.',
	'pelvic-floor-squeeze':
		'Im aufrechten Stand: heben und halten, drei Sekunden, später zehn, und ganz loslassen. Nach der Haltung, nicht vorher.',
	'bird-dog': 'Auf allen vieren werden Arm und Bein gegenüber lang.',
	'knee-plank': 'Unterarme und Knie, eine Linie.',
	plank: 'Unterarme und Zehen, eine Linie vom Scheitel bis zur Ferse.',
	'roll-outer-thigh':
		'Langsam, auf jeder wunden Stelle einen Atemzug; unangenehm darf es sein, schmerzhaft nicht.',
	'roll-front-thigh': 'Auf den Unterarmen, die Rolle unter den Oberschenkeln.',
	'roll-back-thigh': 'Im Sitzen, Hände hinten, die Rolle unter den Oberschenkeln.',
	'roll-outer-back-thigh': 'Die dritte Rolle: hinten etwas nach außen, langsam, bei wunden Stellen anhalten.',
	'rest-legs-up': 'Auf dem Rücken, Waden auf einem Stuhl, langsam ausatmen.',
	'hip-gate': 'Knie hoch, zur Seite öffnen, durch die Mitte zurück.',
	'knee-hug': 'Ein Knie heranziehen, groß stehen.',
	'quad-pull': 'Ferse zum Gesäß und auf die Zehen des Standbeins.',
	'straight-leg-kick': 'Nur so hoch, wie der Rücken lang bleibt.',
	'skip-high': 'Hüpfen mit hohem Knie, weich landen.',
	'cross-steps': 'Seitwärts, ein Fuß über die Mitte vor und hinter dem anderen.',
	'heel-kicks': 'Fersen abwechselnd zum Gesäß, im Gehen oder auf der Stelle.',
	'high-knees': 'Knie abwechselnd hoch, im Gehen oder auf der Stelle.',
	'squatted-side-step': 'Tief und seitwärts, einige in jede Richtung.'
};
