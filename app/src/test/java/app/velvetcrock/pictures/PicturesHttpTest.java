package app.velvetcrock.pictures;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.Directory;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Pictures as they come in and as they are kept. */
@HttpTest
class PicturesHttpTest {

    /** So many of what nobody should send; ten thousand where somebody asks for them. */
    private static final int HOSTILE = Integer.getInteger("crock.uploads", 100);

    @LocalServerPort
    int port;

    @Autowired
    JdbcClient sql;

    @Autowired
    Pictures pictures;

    private Visitor tove;
    private String nettle;
    private String to;

    @BeforeEach
    void aJar() {
        tove = Visitor.stocked(port, "Pictures");
        nettle = tove.post(Visitor.form(
                        tove.get("/bench?amount=10+g&start=2026-11-21").page(), "#bench", Map.of()))
                .path();
        to = "/pictures/of/BATCH/" + nettle.substring("/batch/".length());
    }

    /** Oil on the left, plain oil on the right, a red spot at the upper left. */
    private static BufferedImage jar(int width, int height) {
        BufferedImage seen = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D paper = seen.createGraphics();
        paper.setColor(new Color(90, 110, 30));
        paper.fillRect(0, 0, width / 2, height);
        paper.setColor(new Color(235, 215, 120));
        paper.fillRect(width / 2, 0, width - width / 2, height);
        paper.setColor(Color.RED);
        paper.fillRect(0, 0, width / 8, height / 8);
        paper.dispose();
        return seen;
    }

    private static byte[] file(BufferedImage seen, String kind) throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        assertThat(ImageIO.write(seen, kind, out)).isTrue();
        return out.toByteArray();
    }

    /** The same with a note of how the camera was held, where it was, and who made it. */
    private static byte[] noted(byte[] jpeg, int orientation) throws Exception {
        String tiff = "4d4d002a00000008" + "0003" + "010f00020000000c00000038" + "011200030000000100"
                + "%02x".formatted(orientation)
                + "0000" + "882500040000000100000044" + "00000000" + "0000000000" + "00".repeat(1)
                + HexFormat.of().formatHex("HERE CAMERA\0".getBytes(StandardCharsets.US_ASCII))
                + "0001" + "00010002000000024e000000" + "00000000";
        byte[] exif = HexFormat.of()
                .parseHex(HexFormat.of().formatHex("Exif\0\0".getBytes(StandardCharsets.US_ASCII)) + tiff);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(jpeg, 0, 2);
        out.write(new byte[] {(byte) 0xff, (byte) 0xe1, 0, (byte) (exif.length + 2)});
        out.write(exif);
        out.write(jpeg, 2, jpeg.length - 2);
        return out.toByteArray();
    }

    private String keep(byte[] body, String type, String words) {
        Answer kept = tove.picture(
                to + "?what=LOOK&back=" + nettle + "&words=" + Visitor.encode(words) + "&key=" + UUID.randomUUID(),
                type,
                body);
        assertThat(kept.status()).as(kept.page().text()).isEqualTo(200);
        return kept.page().text().replaceAll(".*\"undo\":\"/pictures/([0-9a-f-]+)/.*", "$1");
    }

    private int rows() {
        return sql.sql("select count(*) from picture").query(Integer.class).single();
    }

    @Test
    void itIsKeptSmallTurnedAndWithoutWhereItWasTaken() throws Exception {
        byte[] sent = noted(file(jar(2400, 1200), "jpg"), 6);
        assertThat(ImageMetadataReader.readMetadata(new ByteArrayInputStream(sent))
                        .getDirectories())
                .as("what was sent says where")
                .anyMatch(notes -> notes.getName().contains("Exif"));
        String id = keep(sent, "image/jpeg", "green, below the oil");
        byte[] whole = tove.bytes("/pictures/" + id + "/whole.jpg");
        BufferedImage seen = ImageIO.read(new ByteArrayInputStream(whole));
        assertThat(List.of(seen.getWidth(), seen.getHeight()))
                .as("turned by a quarter, the long side 1600")
                .containsExactly(800, 1600);
        assertThat(new Color(seen.getRGB(780, 20)).getRed())
                .as("what was at the upper left is at the upper right")
                .isCloseTo(255, within(8));
        assertThat(new Color(seen.getRGB(780, 20)).getGreen()).isLessThan(16);
        for (Directory notes : ImageMetadataReader.readMetadata(new ByteArrayInputStream(whole))
                .getDirectories()) {
            assertThat(notes.getName()).doesNotContain("Exif", "GPS", "XMP", "IPTC");
        }
        BufferedImage small = ImageIO.read(new ByteArrayInputStream(tove.bytes("/pictures/" + id + "/small.jpg")));
        assertThat(Math.max(small.getWidth(), small.getHeight())).isEqualTo(240);
        Document page = tove.get(nettle).page();
        assertThat(page.select("#pictures img").attr("alt")).isEqualTo("green, below the oil");
        assertThat(page.select("#pictures small").text()).contains("with a look", "24 Nov");
    }

    @Test
    void itIsDescribedComparedPutAwayAndBack() throws Exception {
        String id = keep(file(jar(400, 300), "png"), "image/png", "");
        String one = "/pictures/" + id + "?back=" + nettle;
        assertThat(tove.get(nettle).page().select("#pictures img").attr("alt")).contains("not described yet");
        Answer said = tove.post(
                Visitor.form(tove.get(one).page(), "form[action$=/words]", Map.of("words", "gold & <clear>")));
        assertThat(said.page().select("#spots-on img").attr("alt")).isEqualTo("gold & <clear>");
        Document beside = tove.get(one + "&x=25&y=50&px=75&py=50").page();
        assertThat(beside.select("#beside").text()).contains("much darker, greener");
        assertThat(tove.get(one + "&x=70&y=50&px=90&py=50")
                        .page()
                        .select("#beside")
                        .text())
                .contains("no difference to be seen");
        assertThat(tove.get(one + "&x=-5&y=900&px=100&py=100").status()).isEqualTo(200);
        assertThat(tove.get(one + "&x=oil").status()).isEqualTo(400);
        Answer away = tove.post(Visitor.form(tove.get(one).page(), "form[action$=/drop]", Map.of()));
        assertThat(away.page().select("#pictures img")).isEmpty();
        assertThat(tove.get("/pictures/" + id + "/whole.jpg").status()).isEqualTo(404);
        tove.post(Visitor.form(away.page(), ".notice form", Map.of()));
        assertThat(tove.get(nettle).page().select("#pictures img")).hasSize(1);
    }

    /** What is of somebody's skin is deleted for good: nothing of it stays in a row. */
    @Test
    void aPictureOfSkinIsDeletedForGood() throws Exception {
        tove.post(
                "/book/reactions",
                Map.of("nickname", "Inga", "other", "sun", "strength", "SLIGHT", "place", "arm", "on", "today"));
        String reaction = sql.sql(
                        "select id::text from reaction where stillroom_id = (select stillroom_id from batch where id = :batch::uuid)")
                .param("batch", nettle.substring("/batch/".length()))
                .query(String.class)
                .single();
        Document page = tove.get("/pictures/of/REACTION/" + reaction).page();
        assertThat(page.select("#pictures form").text()).contains("deleted for good", "only when that is asked for");
        Answer kept = tove.picture(
                page.select("#pictures form").attr("action") + "?what=REACTION&key=" + UUID.randomUUID(),
                "image/jpeg",
                file(jar(60, 60), "jpg"));
        assertThat(kept.status()).as(kept.page().text()).isEqualTo(200);
        String id = sql.sql("select id::text from picture where reaction_id = :id::uuid")
                .param("id", reaction)
                .query(String.class)
                .single();
        Document one = tove.get("/pictures/" + id).page();
        assertThat(one.select("form[action$=/drop] button").text()).isEqualTo("Delete it for good");
        tove.post(Visitor.form(one, "form[action$=/drop]", Map.of()));
        assertThat(sql.sql("select count(*) from picture where id = :id::uuid")
                        .param("id", id)
                        .query(Integer.class)
                        .single())
                .isZero();
        assertThat(tove.picture(
                                "/pictures/of/BATCH/" + nettle.substring(7) + "?what=REACTION",
                                "image/jpeg",
                                file(jar(60, 60), "jpg"))
                        .status())
                .isEqualTo(404);
    }

    /** A reaction that is taken back takes its pictures along, and what nobody had back is deleted after thirty days. */
    @Test
    void whatIsTakenBackTakesItsPicturesAlong() throws Exception {
        String yarrow = keep(file(jar(60, 60), "jpg"), "image/jpeg", "");
        tove.post(
                "/book/reactions",
                Map.of("nickname", "Inga", "other", "sun", "strength", "SLIGHT", "place", "arm", "on", "today"));
        String reaction = sql.sql(
                        "select id::text from reaction where stillroom_id = (select stillroom_id from batch where id = :batch::uuid)")
                .param("batch", nettle.substring("/batch/".length()))
                .query(String.class)
                .single();
        Answer kept = tove.picture(
                "/pictures/of/REACTION/" + reaction + "?what=REACTION&key=" + UUID.randomUUID(),
                "image/jpeg",
                file(jar(60, 60), "jpg"));
        String skin = kept.page().text().replaceAll(".*\"undo\":\"/pictures/([0-9a-f-]+)/.*", "$1");
        Answer back = tove.post("/book/reactions/" + reaction + "/drop", Map.of());
        assertThat(tove.get("/pictures/" + skin).status()).isEqualTo(404);
        assertThat(tove.get("/pictures/" + skin + "/whole.jpg").status()).isEqualTo(404);
        tove.post(Visitor.form(back.page(), ".notice form", Map.of()));
        assertThat(tove.get("/pictures/" + skin + "/whole.jpg").status()).isEqualTo(200);
        tove.post("/book/reactions/" + reaction + "/drop", Map.of());
        tove.post("/pictures/" + yarrow + "/drop", Map.of());
        int before = rows();
        pictures.clear(100);
        assertThat(rows()).as("they can be had back still").isEqualTo(before);
        sql.sql(
                        "update picture set dropped_at = dropped_at - interval '31 days' where id in (:yarrow::uuid, :skin::uuid)")
                .param("yarrow", yarrow)
                .param("skin", skin)
                .update();
        pictures.clear(100);
        assertThat(rows()).isEqualTo(before - 2);
    }

    /** Two taps keep it once, and another picture under the same key is none. */
    @Test
    void twiceIsOnce() throws Exception {
        int before = rows();
        String with = to + "?what=LOOK&key=" + UUID.randomUUID();
        byte[] picture = file(jar(100, 80), "jpg");
        assertThat(tove.picture(with, "image/jpeg", picture).status()).isEqualTo(200);
        assertThat(tove.picture(with, "image/jpeg", picture).status()).isEqualTo(200);
        assertThat(tove.picture(with, "image/jpeg", file(jar(120, 80), "jpg")).status())
                .isEqualTo(409);
        assertThat(rows()).isEqualTo(before + 1);
    }

    private static byte[] chunk(String name, byte[] of) {
        byte[] all = new byte[of.length + 12];
        all[0] = (byte) (of.length >> 24);
        all[1] = (byte) (of.length >> 16);
        all[2] = (byte) (of.length >> 8);
        all[3] = (byte) of.length;
        System.arraycopy(name.getBytes(StandardCharsets.US_ASCII), 0, all, 4, 4);
        System.arraycopy(of, 0, all, 8, of.length);
        CRC32 sum = new CRC32();
        sum.update(all, 4, of.length + 4);
        for (int n = 0; n < 4; n++) {
            all[of.length + 8 + n] = (byte) (sum.getValue() >> 24 - 8 * n);
        }
        return all;
    }

    /** A few bytes that say they are as large as can be. */
    private static byte[] saysItIs(int width, int height) throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'});
        byte[] head = new byte[13];
        for (int n = 0; n < 4; n++) {
            head[n] = (byte) (width >> 24 - 8 * n);
            head[4 + n] = (byte) (height >> 24 - 8 * n);
        }
        head[8] = 8;
        head[9] = 2;
        out.write(chunk("IHDR", head));
        out.write(chunk("IDAT", new byte[] {0x78, (byte) 0x9c, 3, 0, 0, 0, 0, 1}));
        out.write(chunk("IEND", new byte[0]));
        return out.toByteArray();
    }

    /** Cut, renamed, huge, or made to harm: refused in words, nothing kept, nothing run. */
    @Test
    void whatNobodyShouldSendIsRefused() throws Exception {
        Random random = new Random(46);
        byte[] jpeg = noted(file(jar(300, 200), "jpg"), 3);
        byte[] png = file(jar(300, 200), "png");
        int before = rows();
        for (int n = 0; n < HOSTILE; n++) {
            byte[] good = n % 2 == 0 ? jpeg : png;
            byte[] sent =
                    switch (n % 10) {
                        case 0, 1 -> Arrays.copyOf(good, random.nextInt(good.length / 2));
                        case 2 -> "<svg xmlns='http://www.w3.org/2000/svg' onload='alert(1)'/>"
                                .getBytes(StandardCharsets.UTF_8);
                        case 3 -> "GIF89a<script>alert(1)</script>".getBytes(StandardCharsets.UTF_8);
                        case 4 -> saysItIs(1 + random.nextInt(2_000_000), 60_000 + random.nextInt(2_000_000_000));
                        case 5 -> saysItIs(4_000, 4_000);
                        case 6 -> saysItIs(0, random.nextInt(3));
                        case 7 -> new byte[random.nextInt(20)];
                        case 8 -> noise(random, new byte[] {(byte) 0xff, (byte) 0xd8, (byte) 0xff});
                        default -> noise(random, Arrays.copyOf(png, 40));
                    };
            Answer answer = tove.picture(
                    to + "?what=LOOK&key=" + UUID.randomUUID(), n % 3 == 0 ? "image/png" : "image/jpeg", sent);
            assertThat(answer.status()).as(n + ": " + answer.page().text()).isIn(400, 409, 422);
            if (sent.length > 0) {
                assertThat(answer.page().text()).contains("\"refused\":\"").doesNotContain("Exception");
            }
        }
        assertThat(rows()).isEqualTo(before);
        assertThat(tove.picture(to + "?what=LOOK", "image/jpeg", new byte[4_194_305])
                        .status())
                .isEqualTo(413);
        for (String type :
                List.of("image/svg+xml", "text/html", "multipart/form-data; boundary=x", "application/octet-stream")) {
            assertThat(tove.picture(to + "?what=LOOK", type, jpeg).status())
                    .as(type)
                    .isEqualTo(415);
        }
        assertThat(tove.picture(nettle + "/note", "image/jpeg", jpeg).status())
                .as("on this route alone")
                .isEqualTo(415);
        assertThat(tove.picture(to + "?what=ELSE", "image/jpeg", jpeg).status()).isEqualTo(404);
        assertThat(tove.picture("/pictures/of/ALL/" + UUID.randomUUID() + "?what=LOOK", "image/jpeg", jpeg)
                        .status())
                .isEqualTo(404);
        assertThat(rows()).isEqualTo(before);
    }

    /** What was flipped somewhere may be a picture still; it is one of ours then, or none. */
    @Test
    void whatWasBentIsAPictureOfOursOrNone() throws Exception {
        Random random = new Random(47);
        byte[] jpeg = noted(file(jar(200, 160), "jpg"), 5);
        byte[] png = file(jar(200, 160), "png");
        for (int n = 0; n < HOSTILE / 2; n++) {
            byte[] bent = (n % 2 == 0 ? jpeg : png).clone();
            for (int at = 0; at < 1 + n % 7; at++) {
                bent[random.nextInt(bent.length)] = (byte) random.nextInt(256);
            }
            Answer answer =
                    tove.picture(to + "?what=LOOK&back=" + nettle + "&key=" + UUID.randomUUID(), "image/jpeg", bent);
            assertThat(answer.status()).as(n + ": " + answer.page().text()).isIn(200, 409);
            if (answer.status() == 200) {
                String id = answer.page().text().replaceAll(".*\"undo\":\"/pictures/([0-9a-f-]+)/.*", "$1");
                assertThat(ImageIO.read(new ByteArrayInputStream(tove.bytes("/pictures/" + id + "/whole.jpg"))))
                        .isNotNull();
            }
        }
    }

    private static byte[] noise(Random random, byte[] begins) {
        byte[] all = new byte[begins.length + 2_000];
        random.nextBytes(all);
        System.arraycopy(begins, 0, all, 0, begins.length);
        return all;
    }
}
