package app.velvetcrock.devices;

import app.velvetcrock.core.heat.HeatReading;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.readings.Device;
import app.velvetcrock.readings.DeviceKind;
import app.velvetcrock.readings.Devices;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import java.io.IOException;
import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The household's probes and scales: made with a token each, taken away; a logger's file taken in. */
@Controller
class DevicesController {

    private static final String PAGE = "/settings/probes";
    private static final int LONGEST_NAME = 40;
    private static final int LONGEST_FILE = 240_000;
    private static final int SHOWN = 5;

    private final Devices devices;
    private final Intake intake;
    private final Households households;
    private final Clock clock;

    DevicesController(Devices devices, Intake intake, Households households, Clock clock) {
        this.devices = devices;
        this.intake = intake;
        this.households = households;
        this.clock = clock;
    }

    /** A device as the page tells of it. */
    record Row(UUID id, String name, String words, boolean probe) {}

    /** A form of the page as typed. */
    record DeviceForm(
            @Nullable String name,
            @Nullable String kind,
            @Nullable UUID probe,
            @Nullable String file,
            @Nullable String act,
            @Nullable UUID key) {

        static DeviceForm empty() {
            return new DeviceForm(null, null, null, null, null, null);
        }
    }

    /** What a logger's file would bring. */
    record Preview(String head, List<String> first, List<String> left) {}

    @GetMapping(PAGE)
    String page(Model model) {
        return show(model, DeviceForm.empty(), new Fields(households.current().reader()));
    }

    private String show(Model model, DeviceForm form, Fields fields) {
        House house = households.current();
        List<Device> all = devices.all();
        model.addAttribute(
                "devices",
                all.stream()
                        .map(device -> new Row(
                                device.id(),
                                device.name(),
                                "%s; %s"
                                        .formatted(
                                                device.kind().word(),
                                                device.seen()
                                                        .map(at -> "last heard of " + house.moment(at))
                                                        .orElse("not heard of yet")),
                                device.kind() == DeviceKind.PROBE))
                        .toList());
        model.addAttribute(
                "probes",
                all.stream()
                        .filter(device -> device.kind() == DeviceKind.PROBE)
                        .map(device -> new Fields.Option(device.id().toString(), device.name()))
                        .toList());
        model.addAttribute("kinds", DeviceKind.values());
        model.addAttribute("form", form);
        model.addAttribute("fields", fields);
        return "devices/devices";
    }

    @PostMapping(PAGE)
    String make(DeviceForm form, RedirectAttributes after, Reply reply) {
        Fields fields = new Fields(households.current().reader());
        Optional<String> name = fields.words("name", form.name(), LONGEST_NAME);
        Optional<DeviceKind> kind = fields.oneOf("kind", DeviceKind.class, form.kind());
        return reply.answer(new FormSent("", form.key(), fields, PAGE), () -> show(reply.model(), form, fields), () -> {
            Devices.Made made = devices.make(kind.orElseThrow(), name.orElseThrow());
            after.addFlashAttribute("token", made.token());
            return new Done(PAGE, name.orElseThrow() + " may speak with the token below; it is shown this once.");
        });
    }

    @PostMapping(PAGE + "/{id}/revoke")
    String revoke(@PathVariable UUID id, Reply reply) {
        return reply.tap(PAGE, () -> {
            devices.revoke(id);
            return new Done(PAGE, "That token opens nothing now. What it said before stays.");
        });
    }

    /** A logger's file: looked through first, taken in when that is what is asked. */
    @PostMapping(PAGE + "/file")
    String file(DeviceForm form, Reply reply) {
        House house = households.current();
        Fields fields = new Fields(house.reader());
        UUID probe = devices.all().stream()
                .filter(device ->
                        device.kind() == DeviceKind.PROBE && device.id().equals(form.probe()))
                .map(Device::id)
                .findFirst()
                .orElseThrow(() -> new NotHere("that probe"));
        Optional<LoggerFile> read = read(form, fields, house);
        boolean looks = !"take".equals(form.act());
        if (looks && fields.isClear()) {
            reply.model().addAttribute("preview", preview(read.orElseThrow(), house));
            return show(reply.model(), form, fields);
        }
        return reply.answer(new FormSent("", form.key(), fields, PAGE), () -> show(reply.model(), form, fields), () -> {
            int fresh = intake.readings(probe, read.orElseThrow().readings());
            int known = read.orElseThrow().readings().size() - fresh;
            return new Done(
                    PAGE,
                    "%d readings are taken in%s."
                            .formatted(fresh, known > 0 ? ", %d were known".formatted(known) : ""));
        });
    }

    private Optional<LoggerFile> read(DeviceForm form, Fields fields, House house) {
        String text = Objects.requireNonNullElse(form.file(), "");
        if (fields.isTooLong("file", text, LONGEST_FILE)) {
            return Optional.empty();
        }
        try {
            LoggerFile file = LoggerFile.read(text, house.settings().zone(), clock.instant());
            if (file.readings().isEmpty()) {
                fields.trouble(
                        "file",
                        "No line with a moment and a temperature was found here.",
                        "lines such as 2026-11-24 10:02;46.2");
            }
            return Optional.of(file);
        } catch (IOException notATable) {
            fields.trouble("file", "This is not a table of lines.", "lines such as 2026-11-24 10:02;46.2");
            return Optional.empty();
        }
    }

    private static Preview preview(LoggerFile file, House house) {
        List<HeatReading> inOrder = file.readings().stream()
                .sorted(Comparator.comparing(HeatReading::at))
                .toList();
        Comparator<HeatReading> byHeat = Comparator.comparing(HeatReading::temperature, Temperature::compareTo);
        return new Preview(
                "%d readings, %s to %s, between %s and %s%s"
                        .formatted(
                                inOrder.size(),
                                house.moment(inOrder.get(0).at()),
                                house.moment(inOrder.get(inOrder.size() - 1).at()),
                                house.temperature(inOrder.stream()
                                        .min(byHeat)
                                        .orElseThrow()
                                        .temperature()),
                                house.temperature(inOrder.stream()
                                        .max(byHeat)
                                        .orElseThrow()
                                        .temperature()),
                                file.fahrenheit() ? ", read as °F by its head" : ""),
                inOrder.stream()
                        .limit(SHOWN)
                        .map(reading -> house.moment(reading.at()) + "  " + house.temperature(reading.temperature()))
                        .toList(),
                file.left().stream()
                        .limit(SHOWN)
                        .map(line -> "not understood: " + line)
                        .toList());
    }
}
