package app.velvetcrock.pan;

import app.velvetcrock.sentence.WishForm;

/** The wish it is a half of, as it stands here now: of this kind, so much of it, for them. */
final class PanWhole {

    private PanWhole() {}

    static String of(PanDesk.Desk desk) {
        PanForm form = desk.form();
        WishForm wish = form.wished().orElseGet(WishForm::nothing);
        boolean same = WishForm.text(wish.what()).contains(desk.kind().name());
        String much = PanForm.text(form.much());
        return wish.with("what", same ? WishForm.text(wish.what()) : desk.kind().name())
                .with(
                        "much",
                        desk.planned()
                                .flatMap(planned -> planned.read().tin())
                                .filter(tin -> much.chars().allMatch(Character::isDigit) && !much.isEmpty())
                                .map(tin -> "%s %s of %s"
                                        .formatted(
                                                much,
                                                tin.isBottle() ? "bottles" : "tins",
                                                desk.house()
                                                        .volume(tin.container().brim())))
                                .orElse(much))
                .with("use", PanReading.use(form).name())
                .address("/wish");
    }
}
