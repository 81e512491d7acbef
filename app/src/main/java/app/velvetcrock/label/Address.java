package app.velvetcrock.label;

import app.velvetcrock.core.label.Paper;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.web.util.UriUtils;

/** The address of a queue, and of what it becomes by one change. */
record Address(List<Queue.Wanted> wanted, String paper, Map<String, Integer> begins, String right, String down) {

    static Address of(Queue queue, Printing.Job job) {
        Map<String, Integer> begins = new LinkedHashMap<>();
        job.stacks().forEach(stack -> begins.put(stack.paper().key(), stack.begin()));
        return new Address(
                queue.wanted(),
                job.stacks().get(0).paper().key(),
                begins,
                Queue.text(queue.right()),
                Queue.text(queue.down()));
    }

    public String whole() {
        List<String> said = new ArrayList<>();
        wanted.forEach(one -> said.add("of=" + one.said()));
        said.add("paper=" + UriUtils.encode(paper, StandardCharsets.UTF_8));
        begins.forEach((key, begin) -> {
            if (begin > 0) {
                said.add("from=%s~%d".formatted(UriUtils.encode(key, StandardCharsets.UTF_8), begin + 1));
            }
        });
        if (!right.isEmpty()) {
            said.add("right=" + UriUtils.encode(right, StandardCharsets.UTF_8));
        }
        if (!down.isEmpty()) {
            said.add("down=" + UriUtils.encode(down, StandardCharsets.UTF_8));
        }
        return LabelController.PLACE + "?" + String.join("&", said);
    }

    /** With a sheet of a paper begun elsewhere. */
    String begun(Paper on, int at) {
        Map<String, Integer> other = new LinkedHashMap<>(begins);
        other.put(on.key(), at);
        return new Address(wanted, paper, other, right, down).whole();
    }

    String without(Queue.Wanted gone) {
        List<Queue.Wanted> left = new ArrayList<>(wanted);
        left.remove(gone);
        return left.isEmpty() ? LabelController.PLACE : new Address(left, paper, begins, right, down).whole();
    }

    String with(List<Queue.Wanted> more) {
        List<Queue.Wanted> all = new ArrayList<>(wanted);
        more.stream()
                .filter(one -> all.stream()
                        .noneMatch(there ->
                                there.kind() == one.kind() && there.id().equals(one.id())))
                .forEach(all::add);
        return new Address(all, paper, begins, right, down).whole();
    }

    public List<String> said() {
        return wanted.stream().map(Queue.Wanted::said).toList();
    }

    /** Where each sheet begins, as fields say it. */
    public List<String> froms() {
        return begins.entrySet().stream()
                .filter(one -> one.getValue() > 0)
                .map(one -> "%s~%d".formatted(one.getKey(), one.getValue() + 1))
                .toList();
    }
}
