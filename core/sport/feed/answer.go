package feed

import "hodometer/core/basics/invalid"

// Fed says whether a ball is fed for a task: not where the ball of the task before is played on.
func (p Pattern) Fed(t Task) bool { return t.Kind.Flies() && p.MethodOf(t) != Answer }

// Answered says whether the reply to a task, from 0, is the ball of the next one.
func (p Pattern) Answered(task int) bool {
	return task+1 < len(p.Tasks) && p.MethodOf(p.Tasks[task+1]) == Answer
}

// OneBall says whether one ball is played on through the whole sequence.
func (p Pattern) OneBall() bool {
	return len(p.Tasks) > 1 && p.CountTasks(func(_ int, t Task) bool { return p.Fed(t) }) <= 1 &&
		p.CountTasks(func(_ int, t Task) bool { return p.MethodOf(t) == Answer }) > 0
}

// MaxPlayers is how many players can be live in a turn.
const MaxPlayers = 4

// Roles is how many players have tasks in a turn, each their own: they change over from turn to turn.
func (p Pattern) Roles() int {
	roles := 1
	for _, t := range p.Tasks {
		roles = max(roles, t.Player+1)
	}
	return roles
}

// checkAnswers says what is wrong with tasks that play the ball of the one before on.
func (p Pattern) checkAnswers() error {
	var wrong invalid.Fields
	if p.Method == Answer {
		wrong.Add("method", "something has to bring the first ball into play; let single tasks be answers")
		return wrong.Err()
	}
	for i, t := range p.Tasks {
		path := invalid.Join("tasks", i)
		switch {
		case t.Method != Answer:
			continue
		case t.Kind != "" && t.Kind != BallTask:
			wrong.Add(path+".method", "only a ball is the answer to another one")
		case i == 0 || !p.Tasks[i-1].Kind.Struck():
			wrong.Add(path+".method", "there is no stroke before it to which it would be the answer")
		case p.Tasks[i-1].Reply != nil:
			wrong.Add(path+".method", "task %d says where its reply goes; take that out, the answer says it", i)
		case p.Order.Random():
			wrong.Add(path+".method", "answers need the order in which the tasks are listed")
		}
	}
	return wrong.Err()
}
